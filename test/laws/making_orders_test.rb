# frozen_string_literal: true

require "documents_helper"
require "json"
require "sweep/declared_documents"

# Every method with every heading, lining and opening: nothing before what it needs, no step without figure or words,
# nothing that doesn't apply, folds that add up to the allowances, and every caution that its operations and materials
# call for, said exactly once in a step.
class MakingOrdersTest < EarnestFoldTest
  include DocumentsHelper

  W = R::MakingUp
  HEADINGS = {
    "pencil_pleat" => {},
    "hand_pleat" => {"heading" => DocumentsHelper::PLEATS},
    "wave" => {"heading" => DocumentsHelper::WAVE},
    "eyelet" => {"heading" => DocumentsHelper::EYELETS, "support" => {"kind" => "pole", "diameter" => 3}},
    "rod_pocket" => {
      "heading" => {"kind" => "rod_pocket", "fullness" => 2, "pocket" => 5, "turn_under" => 1, "frill" => 2},
      "support" => {"kind" => "rod"}
    },
    "fixed_pitch" => {"heading" => {"kind" => "fixed_pitch", "fullness" => 2, "pitch" => 10}},
    "pleater_hook" => {
      "heading" => {
        "kind" => "pleater_hook",
        "fullness" => 2,
        "pocket_pitch" => 2.5,
        "skips" => [3, 3, 3],
        "edge" => 2,
        "top_turn" => 3
      }
    },
    "tab_top" => {
      "heading" => {
        "kind" => "tab_top",
        "fullness" => 1.5,
        "tab_width" => 5,
        "tab_drop" => 5,
        "tab_spacing" => 16,
        "top_turn" => 2
      },
      "support" => {"kind" => "pole", "diameter" => 3}
    },
    "clip_ring" => {
      "heading" => {"kind" => "clip_ring", "fullness" => 1.6, "clip_spacing" => 14, "top_turn" => 3},
      "support" => {"kind" => "pole"}
    },
    "buckram_panel" => {"heading" => {"kind" => "buckram_panel", "fullness" => 1.2, "buckram" => 10}},
    "webbing" => {"heading" => {"kind" => "webbing", "fullness" => 2, "top_turn" => 10}}
  }.freeze
  # Every choice that a heading has, once.
  VARIANTS = [
    {
      "heading" => {
        "kind" => "pencil_pleat", "fullness" => 2, "top_turn" => 4, "tape_turn_in" => 3, "tape_below" => 1,
        "tape_sewn" => "top_row_first", "puffed_frill" => 5
      },
      "tieback" => {"girth" => 52, "finished_depth" => 6}
    },
    {"heading" => {"kind" => "fixed_pitch", "fullness" => 2, "pitch" => 10, "puffed_frill" => 4, "top_turn" => 3}},
    {
      "heading" => {
        "kind" => "webbing", "fullness" => 2, "top_turn" => 10, "grommet" => 1, "fastening" => "ties"
      },
      "tieback" => {
        "girth" => 52, "finished_depth" => 6, "make" => "turned_through", "fastening" => "hook_and_loop", "count" => 1
      }
    },
    {"heading" => {"kind" => "webbing", "fullness" => 2, "top_turn" => 10, "fastening" => "snaps"}},
    {
      "heading" => {
        "kind" => "clip_ring", "fullness" => 1.6, "clip_spacing" => 14, "top_turn" => 3, "stiffening" => 3,
        "stiffening_layers" => 2
      },
      "support" => {"kind" => "pole"}
    },
    {"heading" => {"kind" => "eyelet", "fullness" => 1.8, "top_turn" => 10, "stiffening" => 10}}
  ].freeze
  TRIED = (HEADINGS.values + VARIANTS).freeze
  OPENINGS = [
    {"kind" => "pair"}, {"kind" => "one_way_left"}, {"kind" => "dress_pair", "cover" => 40},
    {"kind" => "panels", "panels" => 3}
  ].freeze
  BAG = {
    "making" => {"side" => {"kind" => "single", "depth" => 3.5, "turn_under" => 1.5}},
    "lining" => {
      "cloth" => "l",
      "lift" => 3,
      "inset" => 3.5,
      "side_turn" => 1.5,
      "hem" => {"kind" => "single", "depth" => 5, "turn_under" => 1}
    }
  }.freeze
  LINED = {"lining" => {"cloth" => "l", "lift" => 2.5, "side_turn" => 2, "hem" => {"kind" => "double", "depth" => 5}}}
    .freeze
  # What is never said of a single curtain of one width.
  NOT_OF_ONE = /
    each[ ]seam|first[ ]seam|every[ ]seam|\bpair\b|second[ ]curtain|copies|on[ ]the[ ]first|either[ ]hem|any[ ]hem|
    Match[ ]the[ ]pattern
  /ix
  # What each method is tried with.
  LAYERS = {
    "unlined_hem_first" => {},
    "unlined_sides_first" => {},
    "pressed_sewn_last" => {},
    "locked_in" => LINED,
    "lining_under_hem" => {"lining" => {"cloth" => "l", "lift" => 0.3, "side_turn" => 2, "hem" => {"kind" => "none"}}},
    "bagged_hem_first" => BAG,
    "bagged_middle_first" => BAG,
    "tabled" => LINED,
    "interlined" => LINED.merge("interlining" => {"cloth" => "i"})
  }.freeze
  HOUSES = R::HouseRules::STITCHINGS.map { |way| R::HouseRules.read({"stitching" => way}, R::Units::CM) }

  def test_every_heading_and_every_method_has_its_case
    assert_equal R::Headings.names.sort, HEADINGS.keys.sort
    assert_equal R::Methods::Kinds.names.sort, LAYERS.keys.sort
  end

  LAYERS.each do |method, layers|
    define_method(:"test_#{method}_is_whole") do
      made = TRIED.product(OPENINGS).map do |heading, opening|
        made_by(method, over(heading, layers), {"opening" => opening})
      end
      by_it = made.select { |one| one.treatment.order_of_work.name == method }
      assert_operator by_it.size, :>=, OPENINGS.size
      Walks.some(by_it, 30).product(HOUSES).each { |one, house| assert_whole(one, house) }
    end

    define_method(:"test_#{method}_of_a_single_curtain_of_one_width_says_nothing_of_seams_or_a_second") do
      TRIED.each do |heading|
        made = made_by(
          method,
          over(heading, layers),
          {"opening" => {"kind" => "one_way_left"}, "support" => {"length" => 40}, "making" => {"squaring" => 0}}
        )
        next unless made.curtains.first.widths == 1

        said = words(made, HOUSES.first)
        refute_match(NOT_OF_ONE, said, heading)
        refute_match(/(\A|\s)0 |\(s\)|(\A|\s)1 (widths|weights|eyelets|pleats|hooks) /, said)
      end
    end
  end

  def test_a_plain_unlined_pair_takes_no_more_than_fourteen_steps
    assert_operator R::MakingUp::Order.new(treatment, HOUSES.first).steps.size, :<=, 14
  end

  # Each property of a cloth is called for by what is done to it, in every method and heading, also of somebody's own.
  # What is made beside the curtains is cut from the face where nobody says otherwise.
  OF = ->(one) { one.layers.map { |layer| (layer == :trimming) ? :face : layer } }
  MATERIALS = {
    "coated" => {
      "slow_needle" => ->(one, layer) { one.deed == :sew && one.by == :machine && OF.call(one).include?(layer) },
      "no_pinholes" => ->(one, layer) { one.deed == :pin && OF.call(one).include?(layer) }
    },
    "creeps" => {"creeps" => ->(one, layer) { one.deed == :sew && OF.call(one).include?(layer) }},
    "curls" => {"curls" => ->(one, layer) { one.deed == :press && OF.call(one).include?(layer) }},
    "frays" => {"overcast_edge" => ->(one, layer) { one.deed == :cut && OF.call(one).include?(layer) }},
    "printed" => {
      "prints_transfer" => ->(one, layer) { %i[press fuse].include?(one.deed) && OF.call(one).include?(layer) }
    }
  }.freeze

  def test_no_caution_is_lost_with_the_school_or_the_heading
    ways = LAYERS.to_a.product(TRIED, [[0, :face], [1, :lining]])
    Walks.some(ways, 80).each do |(method, layers), heading, (cloth, layer)|
      MATERIALS.each do |property, rules|
        made = made_by(method, over(heading, layers), {}, cloth => {property => true})
        rules.each { |code, calls| assert_said_where_called_for(made, code) { |one| calls.call(one, layer) } }
      end
    end
  end

  def test_what_is_heavy_is_lifted_wherever_it_is_laid
    LAYERS.each do |method, layers|
      made = made_by(method, layers, {}, 0 => {"mass" => 900}, 1 => {"mass" => 300}, 2 => {"mass" => 300})
      house = R::HouseRules.read({"lift_limit" => 1}, R::Units::CM)
      assert_said_where_called_for(made, "lift_dont_pull", house) { |one| one.deed == :lay }
    end
  end

  def test_somebody_s_own_coated_curtain_is_sewn_slowly
    raw = {"id" => "a", "curtain" => {"coated" => true, "frays" => true, "printed" => true, "light" => true}}
    R::Alterations.each do |kind|
      made = read(document("alterations" => [raw.merge(kind.example).merge(raw["curtain"])])).alterations.first
      steps = W::Order.new(made, HOUSES.last).steps
      said = R::Judgement.at_steps(R::AlterCase.new(made: made, house: HOUSES.last, noted: true, priced: nil), steps)
      steps.each do |step|
        machine = step.operations.any? { |one| one.deed == :sew && one.by == :machine }
        assert_equal machine, codes_at(said, step).include?("slow_needle"), "#{kind.kind} #{step.code}"
        assert_equal step.deed?(:press), codes_at(said, step).include?("prints_transfer"), "#{kind.kind} #{step.code}"
      end
    end
  end

  def test_documents_of_every_kind_have_their_order
    DeclaredDocuments.new.all
      .select.with_index { |made, index| (index % 9).zero? && made.refusal.nil? && made.document["windows"].any? }
      .flat_map { |made| EarnestFold::Documents::JobFormat.read(JSON.generate(made.document)).treatments }
      .each { |treatment| assert_whole(treatment.reckon, HOUSES.first) }
  end

  private

  def made_by(method, *changes, **cloths)
    made = changes.reduce({"method" => method}) { |sum, one| over(sum, one) }
    whole = document(treatment: made)
    whole["cloths"] << {"id" => "i", "use" => "interlining", "width" => 140}
    cloths.each { |index, properties| whole["cloths"][index] = whole["cloths"][index].merge(properties) }
    reckoned(whole).treatments.first
  end

  def assert_whole(made, house)
    order = W::Order.new(made, house)
    steps, codes = order.steps, order.steps.map(&:code)
    assert_equal codes.uniq, codes
    steps.each_with_index do |step, place|
      needed = W::Steps::Kinds.fetch(step.code).needs
      assert_empty needed & codes.drop(place), "#{step.code} comes too soon in #{made.treatment.order_of_work.name}"
      assert_step(step, made)
    end
    assert_folds(steps, made)
  end

  def assert_step(step, made)
    refute_nil step.main, step.code
    refute_empty step.operations, step.code
    assert_operator step.minutes, :>, 0, step.code
    assert_includes R::Diary::BENCHES, step.bench
    assert_operator made.curtains.size, :>=, step.curtains.size
    [R::Units::CM, R::Units::IN].each do |unit|
      said = EarnestFold::Words.step_done(step, unit)
      refute_match(/%\{|  |\(s\)/, said)
      refute_match(/(\A|\s)0 /, said, step.code)
    end
    step.figures.each_key { |name| assert EarnestFold::Words.say?("work_figures.#{name}"), "#{step.code} #{name}" }
    step.tools.each { |tool| assert EarnestFold::Words.say?("work_tools.#{tool}"), tool }
    assert EarnestFold::Words.say?("making.what_then.#{step.check.name}"), step.check.name if step.check
    by_hand = step.operations.none? { |one| one.by == :machine }
    refute_includes step.tools, :machine, step.code if by_hand
  end

  # The last press line of a fold is what its allowance takes of the cloth.
  def assert_folds(steps, made)
    hem = steps.find { |step| %w[press_hem fold_hem_over].include?(step.code) }
    assert_equal made.treatment.making.hem.taken, hem.figures[:second_press] || hem.figures[:first_press] if hem
    top = steps.find { |step| step.code == "turn_top" }
    return unless top

    lines = made.treatment.heading.top_lines(made.treatment.support)
    assert_equal made.treatment.heading.top_allowance(made.treatment.support), lines.last
  end

  def assert_said_where_called_for(made, code, house = HOUSES.last)
    steps = W::Order.new(made, house).steps
    said = R::Judgement.at_steps(looked_at(made, house), steps)
    steps.each do |step|
      called = step.operations.any? { |one| yield one }
      assert_equal called ? 1 : 0,
        codes_at(said, step).count(code),
        "#{code} at #{step.code} of #{made.treatment.order_of_work.name}"
    end
  end

  def codes_at(said, step) = said.fetch(step.code, []).map(&:code)

  def looked_at(made, house) =
    R::JudgementCase.new(
      treatment: made.treatment,
      reckoning: made,
      behind: nil,
      house: house,
      counted: nil,
      cutting: nil
    )

  # Everything that is said of the whole order, remarks too.
  def words(made, house)
    steps = W::Order.new(made, house).steps
    said = R::Judgement.at_steps(looked_at(made, house), steps)
    steps
      .flat_map do |step|
        [EarnestFold::Words.step_done(step, R::Units::CM),
          *said.fetch(step.code, []).map { |remark| EarnestFold::Words.remark(remark, R::Units::CM) }]
      end
      .join("\n")
  end
end
