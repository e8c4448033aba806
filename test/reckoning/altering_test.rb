# frozen_string_literal: true

require "documents_helper"
require "prop_check"

# What is drawn, folded, sewn and cut on somebody's own curtain, the order it is done in, and what experience says of
# it.
class AlteringTest < EarnestFoldTest
  include DocumentsHelper

  G = PropCheck::Generators
  W = R::MakingUp
  PAIR = {"curtains" => 2, "width" => 160, "length_from" => "ring", "length_to" => "sill"}.freeze

  R::Alterations.each do |kind|
    define_method(:"test_#{kind.kind}_has_its_lines_inside_and_its_whole_order") do
      made = altered(kind.example.merge("id" => "a"))
      extent = made.alteration.extent(made.curtain)
      assert_equal made.alteration.cuts_nothing?, made.lines.empty?
      made.lines.each do |line|
        assert line.at.between?(R::Length::ZERO, [extent, made.alteration.length_at_last].max), line.name
      end
      assert_whole(made)
    end
  end

  # Every millimetre of a curtain that is shortened is kept, turned, or comes off.
  def test_nothing_of_the_cloth_is_lost
    PropCheck.forall(
      G.choose(800..4000),
      G.choose(300..3500),
      G.choose(0..120),
      G.choose(0..30)
    ) do |existing, wanted, hem, seam|
      next if wanted + hem * 2 > existing

      at_hem = alter("shorten_at_hem", existing, wanted, "hem" => {"kind" => "double", "depth" => hem})
      assert_equal R::Length.mm(existing),
        at_hem.alteration.length_at_last + at_hem.alteration.hem.taken + at_hem.left_over
      kept = alter(
        "shorten_keep_hem",
        existing,
        wanted,
        "existing_hem" => {"kind" => "single", "depth" => 30},
        "seam" => seam
      )
      next if existing - wanted < seam * 2 || wanted <= 30

      assert_equal R::Length.mm(existing - wanted), kept.left_over + R::Length.mm(seam * 2)
      sewn = kept.lines.select { |line| line.deed == :sew }.map(&:at)
      assert_equal R::Length.mm(existing - wanted), sewn.last - sewn.first
    end
  end

  # Cut by its own lines, a panel gives the pieces it was said to give.
  def test_a_panel_is_cut_where_its_pieces_end
    PropCheck.forall(
      G.choose(1500..9000),
      G.choose(300..1500),
      G.choose(0..100),
      G.choose(10..150),
      G.boolean
    ) do |existing, wanted, hem, top, let_down|
      made = altered(
        "id" => "a",
        "kind" => "split_panel",
        "existing_length" => "#{existing} mm",
        "wanted_length" => "#{wanted} mm",
        "existing_hem" => {"kind" => "double", "depth" => "40 mm"},
        "hem" => {"kind" => "double", "depth" => "#{hem} mm"},
        "top_allowance" => "#{top} mm",
        "let_down" => let_down
      )
      figures = made.alteration.figures
      next if figures[:pieces] < 2

      from_top = made.lines.select { |line| line.deed == :cut && line.from == :top }.map(&:at)
      assert_equal figures[:pieces] - 1, from_top.size
      from_hem = made.lines.find { |line| line.from == :hem }
      last = from_hem ? from_hem.at : made.alteration.available - from_top.last
      assert_equal made.alteration.available, from_top.last + figures[:left_over] + last
    end
  end

  def test_the_motif_goes_where_the_cloth_goes
    at_top = altered(
      "id" => "a",
      "kind" => "shorten_at_top",
      "existing_length" => 244,
      "wanted_length" => 176,
      "remove" => 41,
      "seam" => 2
    )
    assert_equal R::Length.cm(109), at_top.alteration.motif_after(R::Length.cm(150), at_top.curtain)
    assert_equal R::Length.cm(5), at_top.alteration.motif_after(R::Length.cm(5), at_top.curtain)
    assert_nil at_top.alteration.motif_after(R::Length.cm(30), at_top.curtain)
    flat = altered(
      "id" => "a",
      "kind" => "from_flat_cloth",
      "cloth_width" => 200,
      "cloth_length" => 340,
      "finished_width" => 240,
      "fullness" => 1.4,
      "wanted_length" => 188,
      "top_allowance" => 9
    )
    assert_equal R::Length.cm(88), flat.alteration.motif_after(R::Length.cm(100), flat.curtain)
  end

  def test_what_cannot_be_meant_is_told_before_anything_else
    assert_equal ["longer_than_curtain"],
      stops(alter("shorten_at_hem", 1000, 1200, "hem" => {"kind" => "double", "depth" => 80}))
    assert_equal ["longer_than_curtain"],
      stops(alter("shorten_keep_hem", 1000, 1200, "existing_hem" => {"kind" => "double", "depth" => 80}))
    assert_equal ["hem_deeper_than_cloth"],
      stops(alter("shorten_at_hem", 1000, 300, "hem" => {"kind" => "double", "depth" => 400}))
    assert_equal ["shorter_than_curtain"],
      stops(alter("lengthen", 1000, 900, "existing_hem" => {"kind" => "double", "depth" => 80}))
    assert_equal ["tuck_too_small"],
      stops(
        alter(
          "shorten_keep_hem",
          1000,
          980,
          "existing_hem" => {"kind" => "double", "depth" => 80},
          "seam" => 15
        )
      )
  end

  def test_a_plain_panel_takes_any_heading
    figures = altered(
      "id" => "a",
      "kind" => "new_heading",
      "existing_length" => 230,
      "wanted_length" => 214,
      "panel_width" => 260,
      "finished_width" => 120,
      "heading" => {
        "kind" => "pleater_hook",
        "fullness" => 2,
        "pocket_pitch" => 2,
        "skips" => [3, 3, 3],
        "edge" => 3,
        "top_turn" => 2
      }
    ).alteration.figures
    assert_equal [R::Length.cm(216), R::Length.cm(14), 13 / 6r], figures.values_at(:cut_line, :remnant, :fullness)
    assert_equal [130, 8], figures[:heading].values_at(:pockets, :hooks)
    flat = altered(
      "id" => "a",
      "kind" => "new_heading",
      "existing_length" => 230,
      "wanted_length" => 214,
      "panel_width" => 100,
      "finished_width" => 120,
      "heading" => {"kind" => "pleater_hook", "fullness" => 2, "pocket_pitch" => 2, "skips" => [3], "edge" => 3}
    )
    assert_equal %w[no_pleats heading_misses_width], stops(flat)
  end

  def test_a_pair_is_compared_before_it_is_cut_and_before_either_hem_is_sewn
    codes = W::Order
      .new(altered({"id" => "a"}.merge(R::ShortenAtHem::EXAMPLE, PAIR)), R::HouseRules::USUAL)
      .steps
      .map(&:code)
    assert_operator codes.index("compare_lines"), :<, codes.index("cut_off")
    assert_operator codes.index("compare_edges"), :<, codes.index("sew_new_hem")
    single = W::Order
      .new(altered({"id" => "a"}.merge(R::ShortenAtHem::EXAMPLE)), R::HouseRules::USUAL)
      .steps
      .map(&:code)
    assert_empty single & %w[compare_lines compare_edges]
  end

  def test_two_cloths_are_joined_before_they_are_marked
    across = R::FromFlatCloth::EXAMPLE.merge("id" => "a", "way" => "across_width")
    steps = W::Order.new(altered(across), R::HouseRules::USUAL).steps
    assert_operator steps.map(&:code).index("join_cloths"), :<, steps.map(&:code).index("mark_lines")
    assert_equal [2, R::Length.cm(400)], steps.find { |step| step.code == "join_cloths" }.figures.values
    refute_includes W::Order
      .new(altered(across.merge("way" => "across_length")), R::HouseRules::USUAL)
      .steps
      .map(&:code),
      "join_cloths"
  end

  def test_the_steps_figures_are_the_alterations
    steps = W::Order
      .new(altered({"id" => "a"}.merge(R::ShortenKeepHem::EXAMPLE, PAIR)), R::HouseRules::USUAL)
      .steps
      .group_by(&:code)
    assert_equal R::Length.cm(187), steps["mark_lines"].first.main
    assert_equal [R::Length.cm(38), R::Length.cm(19), R::Length.cm(190)],
      steps["sew_tuck"].first.figures.values_at(:remove, :tuck_fold, :length_now)
    assert_equal R::Length.cm(35), steps["cut_strip"].first.main
    assert_equal %w[leading return], steps["check_length"].first.check.places
    assert_equal R::Length.cm(190), steps["check_length"].first.check.planned
  end

  # Both tucks in one order, the top first; what lies behind a hem may not reach past it.
  def test_top_and_foot_have_one_order
    raw = R::TopAndFoot::EXAMPLE.merge("id" => "a", "existing_hem" => {"kind" => "single", "depth" => "1 cm"})
    order = W::Order.new(altered(raw), R::HouseRules::USUAL).steps
    assert_equal %w[sew_top_tuck cut_top_strip into_channel sew_tuck cut_strip press_seam_down],
      order.map(&:code) & %w[sew_top_tuck cut_top_strip into_channel sew_tuck cut_strip press_seam_down cut_off]
    by_code = order.to_h { |step| [step.code, step] }
    {"sew_top_tuck" => [12, 186], "sew_tuck" => [18, 150]}.each do |code, figures|
      assert_equal figures.map { |figure| R::Length.cm(figure) },
        by_code[code].figures.values_at(:tuck_fold, :length_now)
    end
    assert_includes said_at(raw, "cut_strip"), "seam_past_hem"
    refute_includes said_at(raw, "cut_top_strip"), "seam_past_hem"
    refute_includes said_at(raw.merge("foot_seam" => "0.9 cm"), "cut_strip"), "seam_past_hem"
  end

  def said_at(raw, code)
    made = altered(raw)
    looked_at = R::AlterCase.new(made: made, house: R::HouseRules::USUAL, noted: true, priced: nil)
    R::Judgement.at_steps(looked_at, W::Order.new(made, R::HouseRules::USUAL).steps).fetch(code, []).map(&:code)
  end

  # 104 pockets, hooks of four prongs skipping 3-3-3, 7 pleats: edges 5 and 6, gap 5, a plain hook at each end.
  def test_ready_panels_are_given_hooks_pocket_by_pocket
    made = altered(R::ReadyHooks::EXAMPLE.merge("id" => "a"))
    assert_equal [5, 5, 6, 9, 9],
      made.alteration.figures.values_at(:gap, :edge_lead, :edge_return, :hooks_in_all, :rings)
    assert_equal [[6, 9, 12, 15], [20, 23, 26, 29]], made.alteration.pockets_of.first(2)
    assert_equal 99, made.alteration.pockets_of.last.last
    codes = W::Order.new(made, R::HouseRules::USUAL).steps.map(&:code)
    assert_equal %w[note_condition measure_again hooks_in_as_it_is press_and_hand_back], codes
    short, enough = [76, 77].map { |pockets| altered(R::ReadyHooks::EXAMPLE.merge("id" => "a", "pockets" => pockets)) }
    assert_equal ["pockets_short"], short.stops.map(&:code)
    assert_empty enough.stops
  end

  def test_plain_hooks_go_into_every_so_manieth_pocket_and_both_ends
    plain = R::ReadyHooks::EXAMPLE.except("skips", "hooks", "end_hooks", "rings").merge("id" => "a", "pockets" => 102)
    made = altered(plain).alteration
    assert_equal({hooks_in_all: 27}, made.figures)
    assert_equal [[1], [5], [102]], made.pockets_of.values_at(0, 1, -1)
    assert_equal 27, made.pockets_of.size
  end

  def test_what_only_hangs_is_drawn_up_to_its_share_of_the_support
    made = altered(R::HangOnly::EXAMPLE.merge("id" => "a")).alteration
    assert_equal [R::Length.cm(94), 13], [made.figures[:drawn_up], made.figures[:heading][:hooks]]
    four = altered(R::HangOnly::EXAMPLE.merge("id" => "a", "curtains" => 4, "width" => "120 cm")).alteration
    assert_equal [R::Length.cm(47)] * 4, four.spans.map(&:finished_width)
    assert_equal [["panel 1", :right], ["panel 2", :right], ["panel 3", :left], ["panel 4", :left]],
      four.spans.map { |span| [span.hand, span.leads] }
    one = altered(R::HangOnly::EXAMPLE.merge("id" => "a", "curtains" => 1, "opening" => "one_way_right")).alteration
    assert_equal [[R::Length.cm(180), :left]], one.spans.map { |span| [span.finished_width, span.leads] }
    narrow = altered(R::HangOnly::EXAMPLE.merge("id" => "a", "width" => "90 cm"))
    assert_equal ["too_narrow_to_hang"], narrow.stops.map(&:code)
  end

  # A made panel is given its heading as a curtain that is made would be, once the old one is off.
  def test_a_heading_is_put_on_by_its_own_steps
    raw = R::NewHeading::EXAMPLE.merge("id" => "a", "old_heading" => true)
    R::Headings.each do |kind|
      made = altered(raw.merge("heading" => {"kind" => kind.kind}.merge(kind.example)))
      codes = W::Order.new(made, R::HouseRules::USUAL).steps.map(&:code)
      own = made.alteration.heading.made_by.values_at(:top, :heading).flatten
      assert_equal own & codes, codes & own, kind.kind
      assert_operator (own & codes).size, :>, 0, kind.kind
      assert_operator codes.index("take_off_old_heading"), :<, codes.index("mark_lines")
      refute_includes codes, "make_new_top"
      assert_whole(made)
    end
    plain = altered(R::NewHeading::EXAMPLE.merge("id" => "a"))
    refute_includes W::Order.new(plain, R::HouseRules::USUAL).steps.map(&:code), "take_off_old_heading"
  end

  def test_each_piece_of_a_split_panel_is_told_what_it_gets
    made = altered(R::SplitPanel::EXAMPLE.merge("id" => "a", "existing_length" => "400 cm"))
    steps = W::Order.new(made, R::HouseRules::USUAL).steps.to_h { |step| [step.code, step] }
    assert_equal [[1, 2], [2, 3]],
      [steps["press_new_hem"].figures[:pieces_hemmed], steps["make_new_top"].figures[:pieces_topped]]
    assert_includes steps.keys, "compare_edges"
    assert_match(/pieces from the top: 1, 2/, EarnestFold::Words.step_done(steps["sew_new_hem"], R::Units::CM))
    down = altered(R::SplitPanel::EXAMPLE.merge("id" => "a", "existing_length" => "400 cm", "let_down" => true))
    assert_equal [1, 2, 3], down.alteration.pieces_hemmed
  end

  # 84 and a casing of 4 1/2, in inches: fold at 84, cut at 88 1/2, its own hem kept; no width is asked.
  def test_a_flat_cloth_is_taken_as_it_is
    made = altered(
      "id" => "a", "kind" => "from_flat_cloth", "cloth_width" => "60 in", "cloth_length" => "108 in",
      "wanted_length" => "84 in", "top_allowance" => "4 1/2 in", "edge_finish" => "zigzag"
    )
    assert_equal %w[84 88.5].map { |inches| R::LengthReader.read("#{inches} in", R::Units::IN) }, made.lines.map(&:at)
    assert_equal [[1, nil]], made.alteration.figures[:ways].map { |way| [way.cloths, way.fullness] }.uniq
    steps = W::Order.new(made, R::HouseRules::USUAL).steps
    assert_match(/Zigzag the cut edge/, steps.map { |step| EarnestFold::Words.step_done(step, R::Units::IN) }.join(" "))
    two = made.alteration.with(cloths: 2, finished_width: R::LengthReader.read("80 in", R::Units::IN))
    assert_equal [2, 3/2r], two.figures[:ways].first.then { |way| [way.cloths, way.fullness] }
  end

  def test_a_new_top_is_what_was_said
    raw = R::FromFlatCloth::EXAMPLE.merge("id" => "a", "way" => "across_length", "top_stiffening" => "4 cm")
    {"casing" => %w[stiffen_new_top make_new_top sew_casing], "turned" => %w[stiffen_new_top make_new_top],
     "clips" => %w[stiffen_new_top make_new_top put_on_clips]}.each do |made, wanted|
      order = W::Order.new(altered(raw.merge("top_made" => made, "clips" => 12)), R::HouseRules::USUAL)
      codes = order.steps.map(&:code)
      assert_equal wanted, codes & %w[stiffen_new_top make_new_top sew_casing put_on_clips], made
    end
    split = R::SplitPanel::EXAMPLE.merge("id" => "a", "top_made" => "clips", "clips" => 9)
    assert_equal({rings: 9}, altered(split).sundries)
    assert_equal %i[first_kept last_kept], altered(split).alteration.edges.values_at(:top, :hem)
  end

  def test_small_parts_of_alterations_are_counted
    assert_equal({hooks: 14, end_hooks: 4, rings: 18},
      altered(R::ReadyHooks::EXAMPLE.merge("id" => "a", "curtains" => 2)).sundries)
    assert_equal({hooks: 26}, altered(R::HangOnly::EXAMPLE.merge("id" => "a")).sundries)
    put_on = altered(R::NewHeading::EXAMPLE.merge("id" => "a", "curtains" => 2)).sundries
    assert_includes put_on.keys, :tape_length
    assert_empty altered(R::ShortenAtHem::EXAMPLE.merge("id" => "a")).sundries
  end

  # Six minutes of machine hemming aren't charged as an hour by hand, whatever the house does.
  def test_a_hem_is_sewn_as_it_was_said_of_this_curtain
    by = %w[hand machine].to_h do |way|
      made = altered(R::ShortenAtHem::EXAMPLE.merge("id" => "a", "width" => "200 cm", "sewn_by" => way))
      [way, W::Order.new(made, R::HouseRules::USUAL).steps.find { |step| step.code == "sew_new_hem" }]
    end
    assert_operator by["hand"].minutes, :>, by["machine"].minutes * 2
    assert_equal [%i[needle], %i[machine]], by.values.map { |step| step.tools & %i[needle machine] }
  end

  def test_a_wave_that_only_hangs_needs_its_cord_and_end_stops
    wave = {"kind" => "wave", "glider_spacing" => "8 cm", "hook_pitch" => "17.6 cm"}
    made = altered(R::HangOnly::EXAMPLE.merge("id" => "a", "heading" => wave))
    assert_equal [R::Length.cm(180), 2], made.sundries.values_at(:cord, :end_stops)
  end

  def test_a_motif_in_the_heading_is_measured_again
    codes = ->(motif) { altered(R::ShortenAtTop::EXAMPLE.merge("id" => "a", "motif" => motif)).stops.map(&:code) }
    assert_includes codes.call("5 cm"), "motif_above_band"
    refute_includes codes.call("50 cm"), "motif_above_band"
  end

  # Top and foot together take out what the two take out alone, and by pins as by lengths.
  def test_top_and_foot_together_equal_the_two_alone
    PropCheck.forall(
      G.choose(1200..4000),
      G.choose(60..600),
      G.choose(60..600),
      G.choose(0..20)
    ) do |existing, top, foot, seam|
      next if existing - top - foot < 300

      hem = {"existing_hem" => {"kind" => "single", "depth" => 30}, "seam" => seam}
      wanted = existing - top - foot
      both = alter("top_and_foot", existing, wanted, "take_out_top" => top, **hem)
      at_top = alter("shorten_at_top", existing, existing - top, "remove" => top, "seam" => seam)
      at_foot = alter("shorten_keep_hem", existing - top, wanted, hem)
      assert_equal both.left_over, at_top.left_over + at_foot.left_over
      assert_equal at_foot.alteration.length_at_last, both.alteration.length_at_last
      pinned = in_mm("existing_length" => existing, "take_out_top" => top, "take_out_foot" => foot, **hem)
      by_pins = altered({"id" => "a", "kind" => "top_and_foot"}.merge(pinned))
      assert_equal both.alteration, by_pins.alteration
    end
  end

  def test_what_is_longer_than_the_table_is_marked_in_sections
    long = altered(R::ShortenAtHem::EXAMPLE.merge("id" => "a", "existing_length" => "340 cm"))
    step = W::Order.new(long, R::HouseRules::USUAL).steps.find { |one| one.code == "mark_lines" }
    assert_match(/clamp the made edge/, EarnestFold::Words.step_done(step, R::Units::CM))
    short = altered(R::ShortenAtHem::EXAMPLE.merge("id" => "a"))
    step = W::Order.new(short, R::HouseRules::USUAL).steps.find { |one| one.code == "mark_lines" }
    refute_match(/clamp/, EarnestFold::Words.step_done(step, R::Units::CM))
  end

  def test_a_rubber_backing_is_sewn_as_a_coating_is_and_what_creeps_is_told
    assert_includes said_at(R::ShortenKeepHem::EXAMPLE.merge("id" => "a", "rubber_backed" => true), "sew_tuck"),
      "slow_needle"
    assert_includes said_at(R::ShortenKeepHem::EXAMPLE.merge("id" => "a", "creeps" => true), "sew_tuck"), "creeps"
    refute_includes said_at(R::ShortenKeepHem::EXAMPLE.merge("id" => "a"), "sew_tuck"), "creeps"
  end

  # What raises each line of the judgement, and what doesn't.
  JUDGED = {
    "which_length" => [R::ShortenAtHem::EXAMPLE, R::ShortenAtHem::EXAMPLE.merge(PAIR)],
    "two_unknowns" => [R::ShortenAtHem::EXAMPLE.merge("printed" => true), R::ShortenAtHem::EXAMPLE],
    "keep_made_hem" => [R::ShortenKeepHem::EXAMPLE, R::Lengthen::EXAMPLE],
    "one_makes_two" => [R::ShortenAtHem::EXAMPLE.merge("existing_length" => "400 cm"), R::ShortenAtHem::EXAMPLE],
    "cut_right_layer" => [R::ShortenAtTop::EXAMPLE, R::ShortenAtHem::EXAMPLE],
    "pair_before_sewing" => [R::ShortenAtHem::EXAMPLE.merge(PAIR), R::ShortenAtHem::EXAMPLE],
    "hem_fold_check" => [R::ShortenAtHem::EXAMPLE, R::ShortenKeepHem::EXAMPLE]
  }.freeze

  JUDGED.each do |code, (raising, silent)|
    define_method(:"test_#{code}_of_an_alteration") do
      remark = judged(raising).find { |one| one.code == code }
      assert remark, "#{code} is not raised"
      refute_match(/%\{/, EarnestFold::Words.remark(remark, R::Units::CM))
      refute_includes judged(silent).map(&:code), code
    end
  end

  def test_what_came_in_is_noted_before_work_starts
    made = altered({"id" => "a"}.merge(R::ShortenAtHem::EXAMPLE))
    assert_includes R::Judgement.of_alteration(made, house: R::HouseRules::USUAL).map(&:code), "label_kept"
    refute_includes R::Judgement.of_alteration(made, noted: true, house: R::HouseRules::USUAL).map(&:code), "label_kept"
    assert_includes R::Judgement.of_alteration(made, station: "hanging", house: R::HouseRules::USUAL).map(&:code),
      "tag_it"
  end

  def test_an_alteration_is_priced_both_ways
    made = altered({"id" => "a"}.merge(R::ShortenAtHem::EXAMPLE))
    priced = R::Account::Priced.new(minutes: 90r, by_time: R::Money.of(54), by_width: R::Money.of(46))
    remark =
      R::Judgement
        .of_alteration(made, station: "account", priced: priced, house: R::HouseRules::USUAL)
        .find { |one| one.code == "price_by_time" }
    assert_equal({minutes: 90, by_time: "54.00", by_width: "46.00"}, remark.data)
    refute_includes R::Judgement.of_alteration(made, station: "account", house: R::HouseRules::USUAL).map(&:code),
      "price_by_time"
  end

  def test_a_question_about_an_alteration_is_asked_once
    made = altered({"id" => "a"}.merge(R::ShortenAtHem::EXAMPLE))
    refute_includes R::Judgement.of_alteration(made, ["keep_made_hem"], house: R::HouseRules::USUAL).map(&:code),
      "keep_made_hem"
  end

  private

  def altered(raw) = read(document("alterations" => [raw])).alterations.first

  def alter(kind, existing, wanted, more) =
    altered(
      {"id" => "a", "kind" => kind, "existing_length" => "#{existing} mm", "wanted_length" => "#{wanted} mm"}.merge(
        in_mm(more)
      )
    )

  def in_mm(more) =
    more.transform_values { |value| value.is_a?(Hash) ? value.merge("depth" => "#{value["depth"]} mm") : "#{value} mm" }

  def stops(made) = made.stops.map(&:code)

  # Whatever is said of it, at any station or step.
  def judged(raw)
    made, house = altered({"id" => "a"}.merge(raw)), R::HouseRules::USUAL
    seen = R::AlterCase.new(made: made, house: house, noted: false, priced: nil)
    R::Judgement.of_alteration(made, house: house) +
      R::Judgement.at_steps(seen, W::Order.new(made, house).steps).values.flatten
  end

  # No step before what it needs, every figure worded, and no minute without work.
  def assert_whole(made)
    steps = W::Order.new(made, R::HouseRules::USUAL).steps
    codes = steps.map(&:code)
    steps.each do |step|
      kind = kind_of_step(step.code)
      (kind.needs & codes).each do |need|
        assert_operator codes.rindex(need), :<, codes.index(step.code), "#{step.code} before #{need}"
      end
      refute_match(/%\{/, EarnestFold::Words.step_done(step, R::Units::CM))
      step.figures.each_key do |name|
        assert EarnestFold::Words.say?("work_figures.#{name}") || EarnestFold::Words.alter_line(name), name
      end
      assert_operator step.minutes, :>, 0
      assert_includes R::Diary::BENCHES, step.bench
    end
    assert_equal %w[note_condition press_and_hand_back], [codes.first, codes.last]
  end

  # A heading that is put on has its own steps.
  def kind_of_step(code) = W::AlteringSteps::Kinds[code] || W::Steps::Kinds.fetch(code)
end
