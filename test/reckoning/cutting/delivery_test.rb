# frozen_string_literal: true

require "documents_helper"

# A delivered piece held against what was reckoned with.
class DeliveryTest < EarnestFoldTest
  include DocumentsHelper

  C = R::Cutting

  def test_what_is_as_reckoned_differs_in_nothing
    delivery = C::Delivery.new(
      cloth,
      delivered: cm(2000),
      measured: cm(2000),
      width: cm(140),
      repeat: cm(0),
      batch: "7",
      batches: ["7"]
    )
    assert_empty delivery.differences
    refute_predicate delivery, :stops?
  end

  def test_narrower_cloth_and_another_repeat_stop
    differing = C::Delivery.new(
      cloth,
      delivered: cm(2000),
      measured: cm(1990),
      width: cm(138),
      repeat: cm(32),
      batch: "8",
      batches: ["7"]
    )
    assert_equal [[:length, false], [:width, true], [:vertical_repeat, true], [:batch, false]],
      differing.differences.map { |one| [one.name, one.stops] }
    refute_predicate C::Delivery.new(cloth, delivered: cm(2000), measured: nil, width: cm(142)), :stops?
  end

  def test_what_it_changes_is_reckoned_and_not_guessed
    made = treatment
    narrow = C::Delivery.new(cloth, delivered: cm(2000), measured: nil, width: cm(90))
    effect = narrow.effects([made]).first
    again = treatment(cloth: {"width" => 90})
    assert_equal [made.widths_total, again.widths_total], [effect.widths, effect.widths_after]
    assert_predicate effect, :changes?
    assert_equal [
      R::ClothReckoning.of(made.treatment.face, [made]),
      R::ClothReckoning.of(again.treatment.face, [again])
    ].map(&:length_needed),
      narrow.needed([made])
  end

  def test_cloth_that_it_cannot_be_made_of_is_told
    delivery = C::Delivery.new(cloth, delivered: cm(2000), measured: nil, width: cm(8))
    effect = delivery.effects([treatment]).first
    refute_empty effect.problems
    assert_nil delivery.needed([treatment])
  end

  def test_a_lining_is_looked_at_as_the_lining
    made = treatment(treatment: {"lining" => {"cloth" => "l", "lift" => 2.5}})
    lining = made.treatment.lining.cloth
    effect = C::Delivery.new(lining, delivered: cm(2000), measured: nil, width: cm(80)).effects([made]).first
    assert_equal made.lining.widths_total, effect.widths
    assert_operator effect.widths_after, :>, effect.widths
  end

  def test_a_piece_on_the_shelf_is_planned_on_only_when_it_is_settled
    piece = shelf_piece("width" => "130 cm")
    refute piece.usable?(cloth)
    assert shelf_piece("width" => "130 cm", "accepted" => true).usable?(cloth)
    assert shelf_piece({}).usable?(cloth)
  end

  def test_a_begun_piece_is_planned_on_from_where_it_is_cut
    piece = shelf_piece(
      "pattern_start" => "10 cm",
      "flaws" => [{"from" => "1 m", "to" => "1.1 m"}, {"from" => "5 m", "to" => "5.2 m", "what" => "slub"}]
    )
    from = piece.from(cm(105))
    assert_equal [cm(895), cm(-95), [[cm(0), cm(5)], [cm(395), cm(415)]], true],
      [from.length, from.pattern_start, from.flaws.map { |flaw| [flaw.from, flaw.to] }, from.squared]
  end

  def test_a_flaw_lies_inside_its_piece
    problems = R::Problems.new
    assert_nil C::ShelfPiece.read(
      {
        "delivered" => "10 m",
        "flaws" => [{"from" => "11 m", "to" => "12 m"}, {"from" => "3 m", "to" => "2 m"}]
      },
      "A",
      [],
      problems
    )
    assert_equal [["/flaws/0", :outside_the_piece], ["/flaws/1/to", :ends_before_it_starts]],
      problems.to_a.map { |problem| [problem.at, problem.code] }
  end

  private

  def cloth = treatment.treatment.face

  def cm(number) = R::Length.cm(number)

  def shelf_piece(spec) = C::ShelfPiece.read({"delivered" => "10 m"}.merge(spec), "A", [], R::Problems.new)
end
