# frozen_string_literal: true

require "documents_helper"

# Alterations where there is no second try: each figure at its edge, each stop one millimetre beyond it.
class AlterationsTest < EarnestFoldTest
  include DocumentsHelper

  def test_shortened_at_the_hem_to_the_last_millimetre
    fits = alter(
      "shorten_at_hem",
      "existing_length" => 172,
      "wanted_length" => 150,
      "existing_hem" => double(3),
      "let_down" => true,
      "hem" => double(14)
    )
    assert_equal [1780, 0], lengths(fits, :cut_line, :remnant)
    assert_empty fits.checks
    short = alter(
      "shorten_at_hem",
      "existing_length" => 172,
      "wanted_length" => 150,
      "existing_hem" => double(3),
      "let_down" => true,
      "hem" => double("140.5 mm")
    )
    stop = short.checks.first
    assert_equal ["hem_short", R::Length.mm(1), R::Length.mm(140)],
      [stop.code, stop.data[:missing], stop.data[:deepest]]
  end

  def test_a_wanted_length_longer_than_the_curtain_gives_no_hem_at_all
    stop = alter("shorten_at_hem", "existing_length" => 100, "wanted_length" => 120, "hem" => double(8)).checks.first
    assert_equal R::Length::ZERO, stop.data[:deepest]
  end

  def test_the_made_hem_is_kept_as_long_as_the_tuck_holds_its_seams
    made = alter(
      "shorten_keep_hem",
      "existing_length" => 200,
      "wanted_length" => 197,
      "existing_hem" => {"kind" => "single", "depth" => 3},
      "seam" => "1.5"
    )
    assert_equal [30, 1940, 15, 0], lengths(made, :remove, :seam_line, :tuck_fold, :strip)
    assert_empty made.checks
    assert_equal ["tuck_too_small"],
      codes(
        alter(
          "shorten_keep_hem",
          "existing_length" => 200,
          "wanted_length" => "1971 mm",
          "existing_hem" => {"kind" => "single", "depth" => 3},
          "seam" => "1.5"
        )
      )
  end

  def test_at_the_top_both_stops_can_stand_together
    made = alter("shorten_at_top", "existing_length" => 180, "wanted_length" => 178, "remove" => 3, "seam" => 2)
    assert_equal %w[tuck_too_small too_much_removed], codes(made)
    assert_equal R::Length.mm(20), made.checks.last.data[:most]
  end

  def test_a_panel_is_split_into_none_one_or_as_many_as_fit
    assert_equal [0, 900], split(90)
    assert_equal [1, 0], split(116)
    assert_equal [1, 1139], split("2299 mm")
    assert_equal [2, 0], split(230)
    assert_equal [2, 1299], split("3599 mm")
    assert_equal [3, 0], split(360)
    assert_equal [4, 0], split(490)
  end

  def test_a_hem_let_down_serves_no_piece_as_it_was
    kept = alter(
      "split_panel",
      "existing_length" => 230,
      "wanted_length" => 100,
      "hem" => double(8),
      "top_allowance" => 14
    )
    down = alter(
      "split_panel",
      "existing_length" => 230,
      "wanted_length" => 100,
      "hem" => double(8),
      "top_allowance" => 14,
      "existing_hem" => double(4),
      "let_down" => true
    )
    assert_equal [2, 1], [kept.figures[:pieces], down.figures[:pieces]]
  end

  def test_lengthened_without_a_band_as_far_as_facing_goes
    assert_equal [2125, 0], lengths(lengthen("2125 mm"), :longest_faced, :band)
    assert_equal [2125, 31], lengths(lengthen("2126 mm"), :longest_faced, :band)
  end

  def test_a_flat_cloth_fits_one_way_both_or_none
    assert_equal [true, true], flat(90)
    assert_equal [true, false], flat(200)
    assert_equal [false, false], flat(335)
    assert_equal ["cloth_too_short"], codes(alter("from_flat_cloth", flat_cloth(335)))
  end

  def test_a_stand_up_counts_from_the_top_in_every_alteration
    lengths_asked = R::Alterations.reject { |kind| alter(kind.kind, kind.example).cuts_nothing? }
    assert_operator lengths_asked.size, :>, 6
    lengths_asked.each do |kind|
      plain, standing = kind.example, kind.example.merge("stand_up" => "1 cm")
      one, other = [plain, standing].map { |fields| alter(kind.kind, fields) }
      assert_equal one.from_the_top + R::Length.cm(1), other.from_the_top
      assert_equal :from_the_top, other.working.first.name
    end
  end

  def test_nothing_to_hang_is_refused
    problems = R::Problems.new
    fields = R::Alterations
      .fetch("lengthen")
      .fields
      .read(
        {"existing_length" => 10, "wanted_length" => 5, "stand_up" => -5, "existing_hem" => {"kind" => "none"}},
        R::Units::CM,
        problems
      )
    assert_nil R::Alterations.fetch("lengthen").build(fields, problems)
    assert_equal [["/wanted_length", :nothing_hangs]], problems.to_a.map { |problem| [problem.at, problem.code] }
  end

  # Both tucks in centimetres: E 210, the motif to rise 24, the finish at 150, a made hem of 1, seams of 2.5.
  BOTH = {
    "existing_length" => 210,
    "wanted_length" => 150,
    "take_out_top" => 24,
    "existing_hem" => {"kind" => "single", "depth" => 1},
    "seam" => "2.5"
  }.freeze

  def test_top_and_foot_in_one
    made = alter("top_and_foot", BOTH)
    assert_equal [120, 190, 360, 180, 310],
      lengths(made, :top_tuck_fold, :top_strip, :foot_out, :foot_tuck_fold, :foot_strip)
    assert_empty made.checks
    curtain = R::OwnCurtain::USUAL.with(motif: R::Length.cm(60))
    sewn = made.lines(curtain).select { |line| line.deed == :sew }.map { |line| line.at.mm.to_i }
    # Under a band of 10; the foot's first seam is the hem's depth above 150, on the curtain as it came.
    assert_equal [100, 340, 1730, 2090], sewn
    assert_equal R::Length.cm(36), made.motif_after(R::Length.cm(60), curtain)
    assert_nil made.motif_after(R::Length.cm(20), curtain)
    assert_nil made.motif_after(R::Length.cm(190), curtain)
  end

  def test_too_much_at_the_top_leaves_nothing_for_the_foot
    assert_equal ["too_much_removed"], codes(alter("top_and_foot", BOTH.merge("take_out_top" => 61)))
    level = alter("top_and_foot", BOTH.merge("take_out_top" => 60))
    assert_nil level.foot_tuck
    assert_equal 5, level.lines(R::OwnCurtain::USUAL).size
    assert_equal ["tuck_too_small"], codes(alter("top_and_foot", BOTH.merge("take_out_top" => 4)))
    assert_empty codes(alter("top_and_foot", BOTH.merge("take_out_top" => 57, "foot_seam" => "0.9")))
  end

  # By pins: what comes out gives the length, and the length what comes out.
  def test_what_comes_out_and_the_length_give_each_other
    {
      "shorten_at_hem" => {"hem" => {"kind" => "double", "depth" => 6}},
      "shorten_keep_hem" => {"existing_hem" => {"kind" => "single", "depth" => 3}},
      "top_and_foot" => {"existing_hem" => {"kind" => "single", "depth" => 3}, "take_out_top" => 20}
    }.each do |kind, fields|
      pinned = {"existing_length" => 210, "take_out_foot" => 30, "stand_up" => 2, "seam" => 1}.merge(fields)
      by_pins = alter(kind, pinned)
      assert_equal R::Length.cm(210 - fields.fetch("take_out_top", 0) - 30), by_pins.from_the_top, kind
      wanted = {"wanted_length" => "#{by_pins.wanted_length.mm.to_i} mm"}
      by_length = alter(kind, pinned.except("take_out_foot").merge(wanted))
      assert_equal [by_pins, R::Length.cm(30)], [by_length, by_length.taken_out_foot]
    end
  end

  def test_one_of_both_is_asked_for
    plain = {"existing_length" => 210, "hem" => {"kind" => "none"}}
    assert_equal [["/wanted_length", :missing]], refusals("shorten_at_hem", plain)
    assert_equal [["/take_out_foot", :nothing_hangs]], refusals("shorten_at_hem", plain.merge("take_out_foot" => 210))
  end

  # A customer's hem, 87 from the very top, 6 double: fold 87, lines 93 and 99.
  def test_the_hem_that_came_is_the_one_that_is_sewn
    raw = {"existing_length" => 110, "wanted_length" => 87, "existing_hem" => {"kind" => "double", "depth" => 6}}
    lines = alter("shorten_at_hem", raw).lines(R::OwnCurtain::USUAL)
    assert_equal [870, 930, 990], lines.map { |line| line.at.mm.to_i }
    single = alter("shorten_at_hem", raw.merge("existing_hem" => {"kind" => "single", "depth" => 5}))
    assert_equal [R::Length.cm(5), "double"], [single.hem.depth, single.doubled.kind]
    assert_equal R::Length.cm(92), single.figures[:cut_line]
    assert_nil alter("shorten_at_hem", raw.merge("existing_length" => 96)).doubled
    short = raw.merge("existing_length" => 96, "existing_hem" => {"kind" => "single", "depth" => 5})
    assert_nil alter("shorten_at_hem", short).doubled
    assert_equal [["/existing_hem", :missing]], refusals("shorten_at_hem", raw.except("existing_hem"))
  end

  private

  def refusals(kind, fields)
    problems, kind = R::Problems.new, R::Alterations.fetch(kind)
    assert_nil kind.build(kind.fields.read(fields, R::Units::CM, problems), problems)
    problems.to_a.map { |problem| [problem.at, problem.code] }
  end

  def alter(kind, fields)
    problems = R::Problems.new
    made = R::Alterations.fetch(kind).build(
      R::Alterations.fetch(kind).fields.read(fields, R::Units::CM, problems),
      problems
    )
    assert_empty problems.to_a
    made
  end

  def double(depth) = {"kind" => "double", "depth" => depth}

  def lengths(made, *names) = made.figures.values_at(*names).map { |length| length.mm.to_i }

  def codes(made) = made.checks.map(&:code)

  # Pieces of 100 cm with a double hem of 8 and a top of 14: the first takes 116, the last 114, any between 130.
  def split(length)
    figures = alter(
      "split_panel",
      "existing_length" => length,
      "wanted_length" => 100,
      "hem" => double(8),
      "top_allowance" => 14
    ).figures
    [figures[:pieces], figures[:left_over].mm.to_i]
  end

  def lengthen(wanted) =
    alter(
      "lengthen",
      "existing_length" => 198,
      "wanted_length" => wanted,
      "existing_hem" => double(8),
      "let_down" => true,
      "seam" => "1.5"
    )

  def flat_cloth(wanted) =
    {
      "cloth_width" => 200,
      "cloth_length" => 340,
      "finished_width" => 240,
      "fullness" => "1.4",
      "wanted_length" => wanted,
      "top_allowance" => 9
    }

  def flat(wanted) = alter("from_flat_cloth", flat_cloth(wanted)).figures[:ways].map(&:fits)
end
