# frozen_string_literal: true

require "documents_helper"

# The order of making of a treatment: its figures are the reckoning's, and the cases that makers gave hold. That every
# method is whole is tried in laws/making_orders_test.rb.
class MakingUpTest < EarnestFoldTest
  include DocumentsHelper

  W = R::MakingUp
  LINING = {"cloth" => "l", "lift" => 2.5, "inset" => 1, "side_turn" => 2, "hem" => {"kind" => "double", "depth" => 5}}
    .freeze
  BAG = {
    "method" => "bagged_hem_first",
    "making" => {"side" => {"kind" => "single", "depth" => 1, "turn_under" => 1.5}},
    "lining" => {"cloth" => "l", "lift" => 3, "inset" => 1, "side_turn" => 1.5}
  }.freeze

  def test_the_figures_are_the_reckonings
    made = treatment(treatment: {"lining" => LINING})
    steps = steps(made)
    making = made.treatment.making
    assert_equal made.cut_drop, steps["lay_out_cuts"].main
    assert_equal [making.hem.depth, making.hem.taken], steps["press_hem"].figures.values.first(2)
    assert_equal [making.side.taken, making.side.depth], steps["turn_sides"].figures.values.first(2)
    assert_equal [R::Length.cm("2.5".to_r), R::Length.cm(1)], steps["lock_in_lining"].figures.values.first(2)
    assert_equal made.finished_drop, steps["mark_drop"].main
    assert_equal made.curtains.first.heading[:tape_length], steps["sew_tape"].main
    assert_equal made.curtains.first.span.finished_width, steps["draw_up"].main
    assert_equal made.curtains.first.task.seams, steps["join_widths"].figures[:seam_places]
  end

  def test_a_pair_is_one_step_done_twice
    step = steps(treatment)["sew_hem"]
    assert_equal [%w[sew_hem left], %w[sew_hem right]], step.names
    assert_equal [["lay_out_cuts", ""]], steps(treatment)["lay_out_cuts"].names
  end

  def test_a_wide_curtain_is_laid_width_by_width
    wide = treatment(
      treatment: {"method" => "tabled", "lining" => LINING, "opening" => {"kind" => "one_way_left"},
                  "making" => {"widths" => 5}}
    )
    assert_equal %w[single:1 single:2 single:3 single:4 single:5], steps(wide)["table_lining"].ticks
  end

  def test_sections_end_at_a_seam_where_there_is_one
    wide = treatment(treatment: {"making" => {"widths" => 5}}).curtains.first
    ends = W::Sections.of(wide, R::Length.mm(3000))
    assert_empty ends[0..-2] - wide.task.seams
    assert_equal wide.flat_width, ends.last
    plain = treatment(treatment: {"making" => {"widths" => 1}}).curtains.first
    assert_equal [R::Length.mm(500), R::Length.mm(1000)], W::Sections.of(plain, R::Length.mm(500)).first(2)
  end

  def test_a_step_that_is_not_there_for_a_curtain_is_left_out
    single = treatment(
      treatment: {
        "opening" => {"kind" => "one_way_left"},
        "making" => {"hem" => {"kind" => "none", "depth" => 0}, "widths" => 1}
      }
    )
    assert_empty steps(single).keys & %w[join_widths press_hem sew_hem compare_hems compare_pair put_in_weights]
  end

  def test_what_does_not_suit_what_is_made_gives_way_to_the_usual_method
    assert_equal "unlined_hem_first", treatment(treatment: {"method" => "tabled"}).treatment.order_of_work.name
    assert_equal "locked_in", treatment(treatment: {"lining" => LINING}).treatment.order_of_work.name
    rod = {"heading" => {"kind" => "rod_pocket", "fullness" => 2, "pocket" => 5}}
    assert_equal "unlined_sides_first", treatment(treatment: rod).treatment.order_of_work.name
  end

  # Where the hem comes last, the drop is measured from the top, and marked where the hem is to end.
  def test_the_drop_is_measured_from_what_is_made_already
    rod = {"heading" => {"kind" => "rod_pocket", "fullness" => 2, "pocket" => 5}}
    assert_includes steps(treatment(treatment: rod))["mark_drop"].parts.first.said, :from_the_top
    assert_includes steps(treatment)["mark_drop"].parts.first.said, :do
  end

  def test_by_hand_takes_longer
    assert_operator W::Order.new(treatment, house("stitching" => "hand")).minutes,
      :>,
      W::Order.new(treatment, house("stitching" => "machine")).minutes
  end

  def test_a_drawn_cord_takes_no_pleats_minutes
    refute_includes steps(treatment)["draw_up"].times, :pleat
    assert_includes steps(treatment(treatment: {"heading" => PLEATS}))["sew_pleats"].times, :pleat
  end

  def test_weighting_is_never_forced
    assert_equal 2, steps(treatment(treatment: {"weighting" => "corners"}))["turn_sides"].figures[:weights]
    assert_nil steps(treatment(treatment: {"weighting" => "none"}))["turn_sides"].figures[:weights]
    chain = steps(treatment(treatment: {"weighting" => "chain"}))
    assert_equal treatment.curtains.first.flat_width, chain["lay_in_chain"].main
    assert_nil chain["turn_sides"].figures[:weights]
  end

  def test_a_measure_is_held_against_its_tolerance
    check = W::Measured.new(name: :finished_drop, planned: R::Length.cm(200), tolerance: R::Length.mm(3))
    assert check.fits?(R::Length.mm(2003))
    refute check.fits?(R::Length.mm(1996))
  end

  # Expected at 1, measured 1½: the measured one decides, and nothing that is cut changes.
  def test_the_measured_wrap_decides_the_flat_width
    expected, measured = treatment(treatment: BAG), treatment(treatment: BAG.merge("wrap_measured" => 1.5))
    assert_equal [R::Length.cm(1), R::Length.mm(15)], [expected.wrap, measured.wrap]
    assert_equal expected.curtains.first.flat_width - R::Length.cm(1), measured.curtains.first.flat_width
    assert_equal expected.curtains.map(&:cut_width), measured.curtains.map(&:cut_width)
    assert_equal expected.lining.targets, measured.lining.targets
    assert_equal measured.curtains.first.flat_width, measured.curtains.first.heading[:tape_length]
    refute_match(/unpick/i, EarnestFold::Words.say("making.what_then.wrap"))
  end

  def test_a_wrap_is_expected_by_its_formula
    made = treatment(treatment: BAG)
    cut = made.lining_cut_width(made.curtains.first)
    assert_equal (made.curtains.first.cut_width - cut) / 4, made.wrap
    assert_equal made.curtains.first.cut_width - cut, steps(made)["trim_lining"].figures[:narrower]
  end

  # A dress panel covering 14 in, three times full at a fixed pitch of 3½: all in inches.
  def test_a_dress_panel
    made = inches(
      "opening" => {"kind" => "dress_pair", "cover" => 14},
      "support" => {"kind" => "track"},
      "drop" => {"readings" => [33]},
      "heading" => {"kind" => "fixed_pitch", "fullness" => 3, "pitch" => 3.5, "top_turn" => 3.5},
      "making" => {"side" => {"kind" => "double", "depth" => 0.5}, "hem" => {"kind" => "double", "depth" => 0.75}}
    )
    curtain = made.curtains.first
    assert_equal [42, 44, 38], in_inches(curtain.flat_width, curtain.cut_width, made.cut_drop)
    assert_equal [13, 11], curtain.heading.values_at(:hooks, :carriers)
    assert_equal "1/2 in", EarnestFold::Words.with_unit(steps(made)["turn_sides"].figures[:fold], R::Units::IN)
  end

  # A buckram panel, 79 in high: everything is pressed and pinned, and sewn last.
  def test_a_buckram_panel
    made = inches(
      "opening" => {"kind" => "one_way_left"},
      "drop" => {"readings" => [79]},
      "heading" => {"kind" => "buckram_panel", "fullness" => 1, "buckram" => 4},
      "making" => {
        "hem" => {"kind" => "double", "depth" => 3.5},
        "side" => {"kind" => "double", "depth" => 1.5}
      }
    )
    steps = steps(made)
    assert_equal ["pressed_sewn_last", R::Length.inches(94)], [made.treatment.order_of_work.name, made.cut_drop]
    assert_equal made.curtains.first.flat_width, steps["put_in_buckram"].main
    assert_equal [4, 8], in_inches(*steps["turn_top"].figures[:press_lines])
    assert_equal [R::Length.inches(3), R::Length.inches(3/2r)], steps["press_sides"].figures.values.first(2)
    order = steps.keys
    assert_operator order.index("press_sides"), :<, order.index("put_in_buckram")
    assert_operator order.index("turn_top"), :<, order.index("sew_all_round")
    assert_empty order & %w[sew_hem turn_sides]
  end

  # An eyelet tape, 64 in finished, hem 2½ double, top 1: the lining a bag 2½ narrower; twelve rings at 11.5 cm.
  def test_a_bag_with_an_eyelet_tape
    made = inches(
      "method" => "bagged_hem_first",
      "support" => {"kind" => "pole", "length" => "69 cm"},
      "opening" => {"kind" => "one_way_left"},
      "drop" => {"readings" => [64]},
      "heading" => {"kind" => "eyelet", "fullness" => 2, "tape_pitch" => "11.5 cm", "top_turn" => 1},
      "making" => {
        "hem" => {"kind" => "double", "depth" => 2.5},
        "side" => {"kind" => "single", "depth" => 0.625, "turn_under" => 0.5}
      },
      "lining" => {
        "cloth" => "c",
        "lift" => 1,
        "inset" => 0.625,
        "side_turn" => 0.5,
        "top" => 1,
        "hem" => {"kind" => "double", "depth" => 2.5}
      }
    )
    assert_equal [12, R::Length.cm(138)], [made.curtains.first.heading[:eyelets], made.curtains.first.flat_width]
    assert_equal [70, 69], in_inches(made.cut_drop, made.lining.drop_cut.cut_drop)
    steps = steps(made)
    assert_equal R::Length.inches(5/2r), steps["trim_lining"].figures[:narrower]
    assert_equal R::Length.inches(5/8r), steps["match_centres"].main
    assert_equal %w[lay_tape sew_tape set_eyelets], steps.keys & %w[lay_tape sew_tape set_eyelets]
  end

  # A wave of 26 gliders at a pitch of 14 cm: 28 hooks, half a pitch at each end, a cord as long as the track.
  def test_a_wave_is_set_out_first
    wave = {"kind" => "wave", "glider_spacing" => 8, "hook_pitch" => 14}
    made = treatment(
      treatment: {
        "opening" => {"kind" => "one_way_left"},
        "support" => {"length" => 196},
        "heading" => wave,
        "lining" => LINING
      }
    )
    curtain, steps = made.curtains.first, steps(made)
    assert_equal [26, 28, R::Length.cm(7)], curtain.heading.values_at(:gliders, :hooks, :first)
    assert_equal R::Length.cm(364), curtain.flat_width
    marks = made.treatment.heading.marks(curtain.task, curtain.heading).map(&:at)
    assert_equal [28, R::Length.cm(7), R::Length.cm(364)], [marks.size, marks[1], marks.last]
    assert_equal ["set_out_heading", R::Length.cm(196)], [steps.keys.first, steps["set_out_heading"].figures[:cord]]
    assert_equal %i[do face_alone], steps["sew_tape"].parts.first.said
    assert_operator steps.keys.index("sew_tape"), :<, steps.keys.index("take_up_lining")
  end

  # Usually every fourth pocket, about nine to a width; the first and the last hook sit in the end pockets.
  def test_hooks_are_counted_by_pockets
    tape = {"kind" => "pencil_pleat", "fullness" => 2, "pocket_pitch" => 3, "pockets_a_hook" => 4}
    made = treatment(treatment: {"heading" => tape})
    pockets = made.curtains.first.heading[:pockets]
    assert_equal (made.curtains.first.flat_width / R::Length.cm(3)).floor, pockets
    assert_equal ((pockets - 1)/4r).ceil + 1, made.curtains.first.heading[:hooks]
    assert_match(/One for every 4 pockets/, EarnestFold::Words.step_done(steps(made)["put_in_hooks"], R::Units::CM))
    alone = treatment(treatment: {"heading" => tape.except("pocket_pitch")})
    assert_nil alone.curtains.first.heading[:pockets], "one of the two says nothing"
  end

  # 104 pockets of 1 in, hooks of four prongs: the first in pockets 6, 9, 12, 15, the next in 20, 23, 26, 29.
  def test_each_prong_has_its_pocket
    heading = R::Headings.fetch("pleater_hook")
    read = heading.fields.read(
      {"fullness" => 2, "pocket_pitch" => "1 in", "skips" => [3, 3, 3], "edge" => 5}, R::Units::IN, R::Problems.new
    )
    figures = {hooks: 7, gap: 5, edge_lead: 5, edge_return: 6}
    pockets = heading.new(**read).pockets_of(figures)
    assert_equal [[6, 9, 12, 15], [20, 23, 26, 29]], pockets.first(2)
    assert_equal 7, pockets.size
    assert_equal 104 + 1 - 6, pockets.last.last
  end

  private

  def house(fields = {}) = R::HouseRules.read(fields, R::Units::CM)

  def steps(made, fields = {}) = W::Order.new(made, house(fields)).steps.to_h { |step| [step.code, step] }

  def in_inches(*lengths) = lengths.map { |one| one.mm/25.4r }

  # A plain window whose figures are inches.
  def inches(changes)
    plain = {
      "id" => "t",
      "support" => {"kind" => "track", "length" => 60},
      "making" => {"seam" => 0.5},
      "face" => "c"
    }
    raw = document.merge(
      "unit" => "in",
      "cloths" => [{"id" => "c", "use" => "face", "width" => 60}],
      "windows" => [{"id" => "w", "treatments" => [over(plain, changes)]}]
    )
    reckoned(raw).treatments.first
  end
end
