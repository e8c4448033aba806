# frozen_string_literal: true

require "test_helper"

# Which length is it, and the small rules beside the curtains.
class PointsAndPartsTest < EarnestFoldTest
  R = EarnestFold::Reckoning
  POINTS = {
    "hook_drop" => "1.5 cm",
    "glider_drop" => "2 cm",
    "ring_drop" => "1 cm",
    "eyelet_rise" => "2.5 cm",
    "clear" => "1 cm",
    "below" => "15 cm"
  }.freeze
  PENCIL = {"kind" => "pencil_pleat", "fullness" => 2}.freeze
  EYELET = {"kind" => "eyelet", "fullness" => 2}.freeze
  TABS = {"kind" => "tab_top", "fullness" => 2, "tab_width" => 5, "tab_drop" => 5, "tab_spacing" => 16}.freeze

  # heading, support, from, to: stand-up and offset in millimetres
  CASES = [
    [PENCIL, "track", "curtain_top", "floor", 0, -10],
    [PENCIL, "track", "glider_eye", "floor", 15, -10],
    [PENCIL, "track", "support_top", "below_sill", -5, 150],
    [PENCIL, "pole", "ring_eye", "sill", 15, -10],
    [PENCIL, "pole", "pole_upper_side", "worktop", 15 - 28 - 10, -10],
    [PENCIL, "pole", "support_top", nil, 15 - 28 - 10, 0],
    [EYELET, "pole", "pole_upper_side", "floor", 25, -10],
    [TABS, "pole", "pole_upper_side", "floor", -28 - 50, -10],
    [{"kind" => "rod_pocket", "fullness" => 2, "frill" => 2, "pocket" => 4}, "rod", "support_top", "sill", 20, -10],
    [
      {
        "kind" => "hand_pleat",
        "style" => "box",
        "fullness" => 2,
        "buckram" => 10,
        "pin_setting" => 3,
        "space" => {"min" => 9, "target" => 10, "max" => 12},
        "take_up" => {"min" => 9, "target" => 12, "max" => 15}
      },
      "track",
      "glider_eye",
      "floor",
      30,
      -10
    ]
  ].freeze

  def test_points_become_stand_up_and_offset
    CASES.each do |heading, support, from, to, stand_up, offset|
      made = reckon(heading, support, {"measured_from" => from, "measured_to" => to}.compact)
      assert_equal [R::Length.mm(stand_up), R::Length.mm(offset)],
        [made.treatment.drop.stand_up, made.treatment.drop.offset],
        "#{heading["kind"]} from #{from}"
      assert_equal R::Length.mm(2000 + stand_up + offset), made.finished_drop
      assert(made.working.any? { |line| line.name == :"stand_up_#{from}" && line.value == R::Length.mm(stand_up) })
    end
  end

  def test_a_stand_up_given_speaks_before_the_point
    assert_equal R::Length.mm(2007),
      reckon(PENCIL, "track", {"measured_from" => "glider_eye", "stand_up" => "7 mm"}).finished_drop
  end

  def test_a_point_that_does_not_suit_is_refused_at_its_place
    [[EYELET, "track", "glider_eye"], [TABS, "track", "support_top"]].each do |heading, support, from|
      error = assert_raises(R::Invalid) { reckon(heading, support, {"measured_from" => from}) }
      assert_equal [["/windows/0/treatments/0/drop/measured_from", :point_unsuited]],
        error.problems.map { |problem| [problem.at, problem.code] }
    end
  end

  def test_small_parts
    assert_equal [590, 240, 2],
      part(
        "tieback",
        "girth" => "52 cm",
        "ease" => "4 cm",
        "finished_depth" => "6 cm",
        "end_turn" => "1.5 cm"
      )
    assert_equal [590, 150, 2],
      part(
        "tieback",
        "girth" => "52 cm",
        "ease" => "4 cm",
        "finished_depth" => "6 cm",
        "end_turn" => "1.5 cm",
        "make" => "turned_through",
        "seam" => "1.5 cm"
      )
    assert_equal [2660, 130, 1], part("frill", "heading_length" => "263 cm", "frill" => "5 cm", "seam" => "1.5 cm")
    length, depth, count =
      part("tab", "diameter" => "2.8 cm", "drop" => "5 cm", "tab_width" => "5 cm", "seam" => "1.5 cm", "count" => 9)
    assert_in_delta 201.98, length, 0.01
    assert_equal [130, 9], [depth, count]
  end

  def test_sundries_are_summed_over_the_curtains
    made = reckon(PENCIL.merge("hook_spacing" => 10, "tape_turn_in" => 2), "track", {})
    curtain = made.curtains.first
    assert_equal(
      {
        weights: curtain.weights,
        hooks: 16,
        tape_length: curtain.flat_width + R::Length.mm(40)
      },
      R::Sundries.of(made)
    )
  end

  def test_what_weighs_the_foot_is_what_was_chosen
    needs = ->(weighting) { R::Sundries.of(reckon(PENCIL, "track", {}, {"weighting" => weighting})) }
    flat = reckon(PENCIL, "track", {}).curtains.first.flat_width
    {"chain" => :chain, "tape" => :weight_tape, "pipe" => :pipe}.each do |weighting, name|
      assert_equal [flat, nil], needs.call(weighting).values_at(name, :weights), weighting
    end
    assert_equal 2, needs.call("corners")[:weights]
    assert_empty needs.call("none").keys & %i[weights chain weight_tape pipe]
  end

  # Fixed at the sides it hangs from two short supports, each with a stop at both ends; of a pair there is one support.
  def test_a_support_has_a_stop_at_each_end_where_hooks_end_on_it
    fixed = {"kind" => "fixed_pitch", "fullness" => 3, "pitch" => "3 1/2 in"}
    assert_equal 2, R::Sundries.of(reckon(fixed, "track", {}))[:end_stops]
    dress = reckon(fixed, "track", {}, {"opening" => {"kind" => "dress_pair", "cover" => "14 in"}})
    assert_equal [4, 26], R::Sundries.of(dress).values_at(:end_stops, :hooks)
    wave = {"kind" => "wave", "glider_spacing" => "80 mm", "hook_pitch" => "14 cm"}
    made = reckon(wave, "track", {})
    assert_equal made.treatment.support.length, R::Sundries.of(made)[:cord]
  end

  def test_a_bagged_lining_says_the_same_as_the_job_format
    random = Random.new(2)
    50.times do
      flat, wrap, seam =
        [1000 + random.rand(3000), 10 + random.rand(50), 5 + random.rand(20)].map { |number| R::Length.mm(number) }
      bag = R::BaggedLining.new(face_cut: flat + (wrap + seam) * 2, lining_cut: flat - wrap * 2 + seam * 2, seam: seam)
      assert_equal [wrap, flat, wrap + seam], [bag.wrap, bag.flat_width, bag.side.taken]
    end
  end

  def test_pleats_per_width_pleat_every_width_alike
    heading = {
      "kind" => "hand_pleat",
      "style" => "double",
      "fullness" => 2,
      "buckram" => 10,
      "pleats_per_width" => 5,
      "space" => {"min" => 9, "target" => 10, "max" => 12},
      "take_up" => {"min" => 9, "target" => 12, "max" => 15}
    }
    made = reckon(heading, "track", {}, "width_step" => "half")
    assert_equal((made.curtains.first.widths * 5).floor, made.curtains.first.heading[:pleats])
  end

  def test_choices_cover_counts_sideways_and_headings
    made = reckon({"kind" => "fixed_pitch", "fullness" => 2, "pitch" => 10}, "track", {})
    kinds = R::Choices.all(made).group_by(&:kind)
    assert_equal [29, 30, 31], kinds[:count].map(&:name)
    kinds[:count].each { |choice| assert_equal choice.name, choice.reckoning.curtains.first.heading[:hooks] - 1 }
    others = R::Headings.names.size - 1
    others -= 1 unless kinds[:heading].map(&:name).include?("rod_pocket")
    assert_equal others, kinds[:heading].size
    assert_equal ["railroad"], kinds[:sideways].map(&:name)
  end

  private

  # A pencil pleat one way, a hem of 8 cm; the last changes lie over the treatment.
  def reckon(heading, support, drop, more = {})
    document = {
      "format" => "earnest-fold/job",
      "version" => 1,
      "title" => "t",
      "unit" => "cm",
      "cloths" => [{"id" => "c", "use" => "face", "width" => 140}],
      "windows" => [
        {
          "id" => "w",
          "treatments" => [
            {
              "id" => "t",
              "support" => {"kind" => support, "length" => 150, "diameter" => "28 mm"},
              "opening" => {"kind" => "one_way_left"},
              "drop" => {"readings" => [200], "points" => POINTS}.merge(drop),
              "heading" => heading,
              "making" => {"hem" => {"kind" => "double", "depth" => 8}},
              "face" => "c"
            }.merge(more)
          ]
        }
      ]
    }
    R::JobReckoning.new(EarnestFold::Documents::JobFormat.read(JSON.generate(document))).treatments.first
  end

  def part(kind, fields)
    problems = R::Problems.new
    made = R::SmallParts.fetch(kind).build(
      R::SmallParts.fetch(kind).fields.read(fields, R::Units::CM, problems),
      problems
    )
    assert_empty problems.to_a
    [made.length.mm, made.depth.mm, made.count]
  end
end
