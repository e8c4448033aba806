# frozen_string_literal: true

require "earnest_fold"

# What the examples in the comments speak of: one plain window, a pair on a track of 180 cm with a pencil pleat; the
# same lined and with hand pleats; the job of both, and a roll to cut it from.
module ExampleWindow
  R = EarnestFold::Reckoning
  CM = R::Units::CM
  CLOTH = {
    "id" => "plain",
    "use" => "face",
    "width" => "140 cm",
    "selvedge" => "1 cm",
    "vertical_repeat" => "32 cm",
    "mass" => "250",
    "price" => "18.50"
  }.freeze
  SPEC = {
    "id" => "office",
    "support" => {"kind" => "track", "length" => "180 cm"},
    "opening" => {"kind" => "pair"},
    "return_left" => "6 cm",
    "return_right" => "6 cm",
    "overlap" => "8 cm",
    "drop" => {"readings" => ["214 cm", "214.4 cm", "213.8 cm"], "offset" => "-1 cm"},
    "heading" => {"kind" => "pencil_pleat", "fullness" => "2", "top_turn" => "4 cm", "tape_turn_in" => "3 cm"},
    "making" => {
      "hem" => {"kind" => "double", "depth" => "8 cm"},
      "side" => {"kind" => "single", "depth" => "4 cm", "turn_under" => "1 cm"},
      "seam" => "1.5 cm"
    },
    "face" => "plain"
  }.freeze

  LINED = SPEC.merge(
    "id" => "parlour",
    "heading" => {
      "kind" => "hand_pleat",
      "style" => "triple",
      "fullness" => "2.3",
      "buckram" => "12.5 cm",
      "space" => {"min" => "9 cm", "target" => "10.5 cm", "max" => "12 cm"},
      "take_up" => {"min" => "11 cm", "target" => "14 cm", "max" => "17 cm"}
    },
    "lining" => {
      "cloth" => "sateen",
      "lift" => "2.5 cm",
      "side_turn" => "2 cm",
      "top" => "4 cm",
      "hem" => {"kind" => "double", "depth" => "5 cm"}
    }
  ).freeze
  SATEEN = CLOTH.merge("id" => "sateen", "use" => "lining", "vertical_repeat" => "0 cm", "price" => "6.40").freeze
  POLE = {"kind" => "pole", "length" => "180 cm", "diameter" => "2.8 cm"}.freeze
  ROLL = {"id" => "R1", "length" => "30 m", "flaws" => [{"from" => "4 m", "to" => "4.2 m"}]}.freeze

  module_function

  def house = R::HouseRules.new(**R::HouseRules::FIELDS.to_h { |field| [field.name, field.default] })

  def cloth = clothed(CLOTH)

  def sateen = clothed(SATEEN)

  def rolled = clothed(CLOTH.merge("pieces" => [ROLL]))

  def clothed(raw) = R::Cloth.build(R::Cloth::FIELDS.read(raw, CM, R::Problems.new), R::Problems.new)

  def treatment = made_of(SPEC)

  # The same, where other things were given: `{"heading/fullness" => "1.2"}`.
  def given(others, spec = SPEC)
    made_of(others.reduce(spec) { |told, (path, value)| put(told, path.split("/"), value) })
  end

  def put(told, (name, *rest), value) =
    told.merge(name => rest.empty? ? value : put(told.fetch(name, {}), rest, value))

  def lined = made_of(LINED)

  def interlined = lined_given("interlining" => {"cloth" => "sateen"})

  # The same window under another heading, with the figures that stand there first, hung from a pole.
  def headed(kind, others = {})
    heading = R::Headings[kind].example.merge("kind" => kind)
    given(others, SPEC.merge("heading" => heading, "support" => POLE))
  end

  def lined_given(others) = given(others, LINED)

  # What an alteration of that kind is built from, with the figures that stand there first.
  def altered(kind)
    sort, problems = R::Alterations[kind], R::Problems.new
    sort.build(sort.fields.read(sort.example, CM, problems), problems)
  end

  def made_of(raw) =
    R::TreatmentReader.new({"plain" => cloth, "sateen" => sateen}, CM).read(raw, R::Problems.new)

  def job
    windows = [treatment, lined].map { |made| R::Window.new(id: made.id, room: "", name: "", treatments: [made]) }
    R::Job.new(
      title: "Sluice House",
      unit: CM,
      cloths: [cloth, sateen],
      alterations: [],
      small_parts: [],
      windows: windows
    )
  end

  def cuts = R::Cutting::Demand.of([reckoning], cloth)

  def plan = R::Cutting::Planner.new(rolled, cuts).plan

  def plan_task = R::Cutting::PlanTask.new(rolled, cuts)

  # A piece of 5 m that nobody has cut into.
  def life = R::Cutting::PieceLife.new(length: R::Length.cm(500), takings: [])

  def steps = R::MakingUp::Order.new(reckoning, house).steps

  # What steps are made from: of a window, of somebody's own curtain, of a heading put on it.
  def making_case(made = reckoning) = R::MakingUp::MakingCase.new(reckoning: made, house: house)

  def altering_case = R::MakingUp::AlteringCase.new(made: own.reckoning, house: house)

  # What remarks are made from.
  def seen(made = reckoning) = R::JudgementCase.new(
    treatment: made.treatment, reckoning: made, behind: nil, house: house, counted: nil, cutting: nil
  )

  def seen_altered = R::AlterCase.new(made: own.reckoning, house: house, noted: false, priced: nil)

  # Nine metres of the cloth, as its paper says, and what the tape said of it.
  def delivery(**measured) = R::Cutting::Delivery.new(cloth, delivered: R::Length.cm(900), measured: nil, **measured)

  # Somebody's own, as they said it.
  def own_curtains = altering_case.curtain

  def shelf_piece = R::Cutting::ShelfPiece.read({"delivered" => "9 m"}, "P1", [], R::Problems.new, unit: CM)

  # Two hours' work at 36 an hour; ten metres of cloth at 18.50.
  def statement
    work = R::Account::Billed.new(
      title: "Office", minutes: 120r, widths: 4r, drop: R::Length.cm(210), curtains: 2, altered: false
    )
    bought = R::Account::Bought.new(name: "plain", length: R::Length.cm(1000), sold_by: R::Length.cm(10),
      price: cloth.price)
    asked = R::Account::Asked.new(school: nil, fitted: 0, travel: R::Money::ZERO, extras: [])
    R::Account::Statement.new([work], [bought], asked, house.account)
  end

  # From a Monday on.
  def working_days = R::Diary::WorkingDays.new(Date.new(2026, 3, 2), R::Diary::USUAL)

  def small_part(kind)
    sort, problems = R::SmallParts[kind], R::Problems.new
    sort.build(sort.fields.read(sort.example, R::Units::MM, problems), problems)
  end

  def part_of_job(kind) = R::SmallPartOfJob.new(id: "p", part: small_part(kind), cloth: nil)

  # The same two windows as a job in hand, with somebody's own curtain to shorten at a third.
  def in_hand
    specs = {"office" => ["made", SPEC], "parlour" => ["made", LINED], "landing" => ["altered", own_curtain]}
    windows = specs.each_with_index.map { |(room, (sort, spec)), index| window_kept(index + 1, room, sort, spec) }
    EarnestFold::Work::Job.new(job_kept(windows), cloths_kept, settled)
  end

  def work = in_hand.work(1)

  def own = in_hand.work(3)

  def own_curtain
    {"id" => "landing", "kind" => "shorten_at_hem", **R::Alterations["shorten_at_hem"].example}
  end

  def window_kept(id, room, sort, spec)
    treatment = EarnestFold::Store::Records::Treatment.new(
      id: id, sort: sort, spec: spec, source: nil, version: 1, undoable: 0, put_away: false
    )
    EarnestFold::Store::Records::Window.new(id: id, room: room, name: "", treatments: [treatment])
  end

  def job_kept(windows) = EarnestFold::Store::Records::Job.new(
    id: 7, title: "Sluice House", unit: "cm", version: 1, extras: {}, notes: "",
    archived: false, invoiced: false, account: {}, dates: {"promised" => "2026-03-20"}, customer_id: nil, house_id: nil,
    windows: windows
  )

  def cloths_kept = [CLOTH, SATEEN].map do |spec|
    EarnestFold::Store::Records::Cloth.new(id: spec["id"], spec: spec, source: nil, colour: "#c8b79a", version: 1)
  end

  def settled = EarnestFold::Store::House::Record.new(
    name: "Saltmarsh Lane Curtains", unit: "cm", rules: house, unread: [], stored: {}, on_hand: {}, version: 1,
    sets: [], tapes: [], state: nil
  )

  # The plain cloth at Cutting, with a roll of 30 m on the shelf, planned by the rule of thumb.
  def cutting = EarnestFold::Work::ClothCutting.new(
    in_hand, in_hand.cloths_needed.first, [roll_kept], plan: nil, cuts: [], wanted: {}, maker: ByThumb
  )

  # The same with an empty shelf.
  def uncut = EarnestFold::Work::ClothCutting.new(
    in_hand, in_hand.cloths_needed.first, [], plan: nil, cuts: [], wanted: {}, maker: ByThumb
  )

  module ByThumb
    def self.plan(stock, cuts, wishes) = EarnestFold::Work::PlanMaker::Got.new(
      plan: R::Cutting::Planner.new(stock, cuts, wishes).soonest, errand: nil
    )
  end

  def roll_kept
    piece = R::Cutting::ShelfPiece.read({"delivered" => "30 m"}, "R1", [], R::Problems.new, unit: CM)
    EarnestFold::Store::Records::Piece.new(
      id: 1, cloth_id: 1, spec: {}, piece: piece, parent_id: nil, used_up: false, version: 2, reserved: []
    )
  end

  # The diary with that job in it, on a Monday morning; its first week; what is said of the job beside.
  def diary = EarnestFold::Work::Diary.new([in_hand], [], [], house, Time.utc(2026, 3, 2, 7))

  def week = EarnestFold::Work::Week.new(diary)

  def outlook = EarnestFold::Work::Outlook.new(in_hand, nil, diary)

  def today = EarnestFold::Work::Today.new([in_hand], diary)

  # What the first work of the job said and took.
  def logbook = EarnestFold::Work::Logbook.new([in_hand], {}, {1 => []}, {}, house)

  # Somebody's own curtain as it came in, with one mark on it.
  def came_in = EarnestFold::Work::CameIn.new(own, [mark_seen])

  def mark_seen = EarnestFold::Store::CameIn::Note.new(
    id: 1, sort: "mark", curtain: "left", across: 500, down: 950, words: "at the fold", struck: false, by: "", at: nil
  )

  # A sheet to draw on; what is drawn on one; how large a drawing is.
  def sheet = EarnestFold::Drawings::Svg.new(9, 9, says: "")

  def drawn(sheet) = sheet.to_s[%r{<svg[^>]*>(.*)</svg>}, 1].tr('"', "'")

  def size(drawing) = drawing.to_s[/viewBox="0 0 ([^"]+)"/, 1]

  def reckoning = treatment.reckon

  def curtain = reckoning.curtains.first
end
