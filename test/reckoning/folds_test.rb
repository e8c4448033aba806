# frozen_string_literal: true

require "documents_helper"

# Folds from above, and where drawn-back curtains stand.
class FoldsTest < EarnestFoldTest
  include DocumentsHelper

  D = DocumentsHelper

  # Half depth of a wave is half the root of pitch squared less spacing squared: 7.84 cm here, up to the millimetre.
  def test_a_waves_depth_is_the_rules_own
    made = treatment(treatment: {"heading" => D::WAVE})
    curtain = made.curtains.first
    assert_equal R::Length.mm(79), made.treatment.heading.fold_depth(curtain.task, curtain.heading)
    assert_equal curtain.heading[:gliders] / 2, made.treatment.heading.folds(curtain.task, curtain.heading)
  end

  def test_every_heading_answers_folds_and_a_depth
    R::Headings.each do |kind|
      made = treatment(treatment: {"heading" => kind.example, "support" => {"diameter" => 3}})
      curtain = made.curtains.first
      assert_operator made.treatment.heading.folds(curtain.task, curtain.heading), :>=, 1, kind.kind
      refute_predicate made.treatment.heading.fold_depth(curtain.task, curtain.heading), :negative?, kind.kind
    end
  end

  def test_a_pair_stacks_at_both_ends_and_a_single_away_from_its_leading_edge
    left, right = places({})
    assert_equal R::Length::ZERO, left.first
    assert_equal R::Length.cm(180), right.last
    assert_equal R::Length::ZERO, places({"opening" => {"kind" => "one_way_left"}}).first.first
    assert_equal R::Length.cm(180), places({"opening" => {"kind" => "one_way_right"}}).first.last
  end

  def test_panels_stack_within_their_own_share
    made = places({"opening" => {"kind" => "panels", "panels" => 3}})
    assert_equal [R::Length::ZERO, R::Length.cm(60)], made.first(2).map(&:first)
    assert_equal R::Length.cm(180), made.last.last
  end

  def test_a_stack_is_never_wider_than_the_curtain
    made = treatment(treatment: {"making" => {"widths" => 6}})
    R::StackBack
      .of(made.treatment, made.curtains, R::HouseRules::USUAL.with(fold_unlined: R::Length.cm(20)))
      .places
      .zip(made.curtains)
      .each { |(from, to), curtain| assert_operator to - from, :<=, curtain.finished_width }
  end

  # The glass from 20 to 160 cm, the stacks at both ends: what they cover is taken off.
  def test_the_glass_left_clear
    made = treatment
    stacks = R::StackBack.of(made.treatment, made.curtains, R::HouseRules::USUAL)
    glass = R::Feature.new(
      from_left: R::Length.cm(20),
      width: R::Length.cm(140),
      down: R::Length::ZERO,
      height: R::Length::ZERO,
      stands_off: nil
    )
    covered =
      stacks
        .places
        .sum(R::Length::ZERO) do |from, to|
          [[to, glass.to_right].min - [from, glass.from_left].max, R::Length::ZERO].max
        end
    assert_equal R::Length.cm(140) - covered, stacks.glass_clear(glass)
    assert_nil stacks.glass_clear(nil)
  end

  def test_the_pattern_is_level_where_it_was_placed
    one, other =
      [
        {"pattern" => {"place" => "hem", "point" => 12}},
        {"pattern" => {"place" => "hem", "point" => 12}, "drop" => {"readings" => [188]}}
      ].map { |changes| treatment(treatment: changes, cloth: {"vertical_repeat" => 64}) }
    assert_equal R::Length.cm(12), R::Level.of(one).hem
    assert_equal :hem, R::Level.fold([one, other])
    assert_nil R::Level.fold(
                 [
                   one,
                   treatment(
                     treatment: {"pattern" => {"place" => "top", "point" => 3}},
                     cloth: {"vertical_repeat" => 64}
                   )
                 ]
               )
    assert_nil R::Level.of(treatment)
  end

  private

  def places(changes)
    made = treatment(treatment: changes)
    R::StackBack.of(made.treatment, made.curtains, R::HouseRules::USUAL).places
  end
end
