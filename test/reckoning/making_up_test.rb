# frozen_string_literal: true

require "documents_helper"
require "laws/random_jobs"

# The order of making: every school's order is whole, nothing comes before what it needs, and every figure is the
# reckoning's.
class WorkOrderTest < EarnestFoldTest
  include DocumentsHelper

  W = R::MakingUp
  HEADINGS = {
    "pencil_pleat" => {},
    "hand_pleat" => {"heading" => DocumentsHelper::PLEATS},
    "wave" => {"heading" => DocumentsHelper::WAVE},
    "eyelet" => {"heading" => DocumentsHelper::EYELETS, "support" => {"kind" => "pole", "diameter" => 3}},
    "rod_pocket" => {
      "heading" => {"kind" => "rod_pocket", "fullness" => 2, "pocket" => 5},
      "support" => {"kind" => "rod"}
    },
    "fixed_pitch" => {"heading" => {"kind" => "fixed_pitch", "fullness" => 2, "pitch" => 10}},
    "pleater_hook" => {
      "heading" => {
        "kind" => "pleater_hook",
        "fullness" => 2,
        "pocket_pitch" => 2.5,
        "skips" => [3, 3, 3],
        "edge" => 2
      }
    },
    "tab_top" => {
      "heading" => {"kind" => "tab_top", "fullness" => 1.5, "tab_width" => 5, "tab_drop" => 5, "tab_spacing" => 16},
      "support" => {"kind" => "pole", "diameter" => 3}
    },
    "clip_ring" => {
      "heading" => {"kind" => "clip_ring", "fullness" => 1.6, "clip_spacing" => 14},
      "support" => {"kind" => "pole"}
    },
    "webbing" => {"heading" => {"kind" => "webbing", "fullness" => 2}}
  }.freeze
  SCHOOLS = R::HouseRules::MAKING_ORDERS.product(R::HouseRules::LINING_SCHOOLS, R::HouseRules::STITCHINGS)
  ALWAYS = %w[lay_out_cuts press_hem sew_hem mark_drop turn_top form_heading press_and_tag].freeze

  def test_every_heading_has_its_case = assert_equal R::Headings.names.sort, HEADINGS.keys.sort

  def test_every_school_gives_a_whole_order_in_which_nothing_comes_too_soon
    HEADINGS.each_value do |changes|
      [{}, {"lining" => {"cloth" => "l", "lift" => 2.5, "hem" => {"kind" => "double", "depth" => 5}}}].each do |lining|
        made = treatment(treatment: changes.merge(lining))
        SCHOOLS.each do |order, school, stitching|
          assert_whole(made, house("making_order" => order, "lining_school" => school, "stitching" => stitching))
        end
      end
    end
  end

  def test_any_job_that_can_be_reckoned_has_its_order
    60.times do |seed|
      reckoned(RandomJobs.new(seed).document).treatments.each do |made|
        SCHOOLS
          .each_slice(3)
          .map(&:first)
          .each do |order, school, stitching|
            assert_whole(made, house("making_order" => order, "lining_school" => school, "stitching" => stitching))
          end
      end
    end
  end

  def test_what_the_hardware_dictates_is_set_out_before_the_sides
    %w[wave fixed_pitch].each do |name|
      codes = codes(treatment(treatment: HEADINGS.fetch(name)))
      assert_operator codes.index("set_out_heading"), :<, codes.index("turn_sides"), name
    end
    refute_includes codes(treatment), "set_out_heading"
  end

  def test_a_lining_is_hemmed_before_it_joins_and_a_pair_compared_before_a_hem_is_sewn
    made = treatment(treatment: {"lining" => {"cloth" => "l", "hem" => {"kind" => "double", "depth" => 5}}})
    R::HouseRules::LINING_SCHOOLS.each do |school|
      codes = codes(made, "lining_school" => school)
      assert_operator codes.index("hem_lining"),
        :<,
        codes.index(
          {"bagged" => "bag_lining", "tabled" => "table_lining"}.fetch(school, "lock_in_lining")
        )
      assert_operator codes.index("compare_hems"), :<, codes.index("sew_hem")
    end
  end

  def test_heading_first_marks_the_drop_from_the_top
    codes = codes(treatment, "making_order" => "heading_first")
    assert_equal %w[form_heading mark_drop press_hem sew_hem], codes & %w[form_heading mark_drop press_hem sew_hem]
    assert_equal %w[press_hem sew_hem mark_drop form_heading],
      codes(treatment) & %w[form_heading mark_drop press_hem sew_hem]
  end

  def test_the_figures_are_the_reckonings
    made = treatment(
      treatment: {
        "lining" => {"cloth" => "l", "lift" => 2.5, "inset" => 1, "hem" => {"kind" => "double", "depth" => 5}}
      }
    )
    steps = W::Order.new(made, R::HouseRules::USUAL).steps.group_by(&:code).transform_values(&:first)
    making = made.treatment.making
    assert_equal [made.cut_drop, made.widths_total], steps["lay_out_cuts"].figures.values
    assert_equal [making.hem.taken, making.hem.depth, making.hem.depth * 2], steps["press_hem"].figures.values
    assert_equal [making.side.taken, making.side.depth, making.side.turn_under], steps["turn_sides"].figures.values
    assert_equal [R::Length.cm("2.5".to_r), R::Length.cm(1)], steps["lock_in_lining"].figures.values
    assert_equal made.finished_drop, steps["mark_drop"].main
    assert_equal made.curtains.first.heading[:tape_length], steps["put_on_heading"].main
    assert_equal made.curtains.first.span.finished_width, steps["form_heading"].main
    assert_equal made.curtains.first.weights, steps["put_in_weights"].main
    assert_equal made.curtains.first.task.seams.first, steps["join_widths"].figures[:first_seam]
  end

  def test_a_step_that_is_not_there_for_a_curtain_is_left_out
    single = treatment(
      treatment: {
        "opening" => {"kind" => "one_way_left"},
        "making" => {"hem" => {"kind" => "none", "depth" => 0}, "widths" => 1}
      }
    )
    assert_empty codes(single) & %w[join_widths press_hem sew_hem compare_hems compare_pair put_in_weights hem_lining]
  end

  def test_by_hand_takes_longer
    assert_operator W::Order.new(treatment, house("stitching" => "hand")).minutes,
      :>,
      W::Order.new(treatment, house("stitching" => "machine")).minutes
  end

  def test_a_measure_is_held_against_its_tolerance
    check = W::Measured.new(name: :finished_drop, planned: R::Length.cm(200), tolerance: R::Length.mm(3), places: [])
    assert check.fits?(R::Length.mm(2003))
    refute check.fits?(R::Length.mm(1996))
  end

  def test_every_step_has_its_words
    every = HEADINGS.values.flat_map do |changes|
      SCHOOLS.flat_map do |order, school, stitching|
        W::Order.new(
          treatment(treatment: changes.merge("lining" => {"cloth" => "l"})),
          house("making_order" => order, "lining_school" => school, "stitching" => stitching)
        ).steps
      end
    end
    every.each do |step|
      refute_match(/%\{/, EarnestFold::Words.say("work_steps.#{step.code}.do", unit: R::Units::CM, **step.figures))
      step.figures.each_key { |name| assert EarnestFold::Words.say?("work_figures.#{name}"), name }
      step.tools.each { |tool| assert EarnestFold::Words.say?("work_tools.#{tool}"), tool }
      assert EarnestFold::Words.say?("making.what_then.#{step.check.name}"), step.check.name if step.check
    end
  end

  private

  def house(fields = {}) = R::HouseRules.read(fields, R::Units::CM)

  def codes(made, fields = {}) = W::Order.new(made, house(fields)).steps.map(&:code).uniq

  def assert_whole(made, house)
    steps = W::Order.new(made, house).steps
    codes = steps.map(&:code).uniq
    assert_equal (1..steps.size).to_a, steps.map(&:number)
    assert_empty ALWAYS - codes - (made.treatment.making.hem.taken.zero? ? %w[press_hem sew_hem] : [])
    codes.each_with_index do |code, place|
      assert_empty W::Kinds.fetch(code).needs(house) & codes.drop(place), "#{code} comes too soon"
    end
    assert_equal made.lining ? 1 : 0, (codes & %w[lock_in_lining bag_lining table_lining]).size
    steps.each { |step| refute_nil step.main, step.code }
  end
end
