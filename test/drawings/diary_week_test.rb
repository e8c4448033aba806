# frozen_string_literal: true

require "test_helper"

EarnestFold::LOADER.eager_load

# A week of benches to scale: a block is as wide as it is long, and what is done at the same time never covers each
# other.
class DiaryWeekTest < EarnestFoldTest
  R = EarnestFold::Reckoning
  W = EarnestFold::Drawings::DiaryWeek
  MONDAY = Date.new(2026, 3, 2)

  def test_blocks_are_as_wide_as_they_are_long
    drawn = blocks([block(0, 90), block(90, 450)])
    assert_in_delta 4.0, (drawn.last[2] + 1.5) / (drawn.first[2] + 1.5), 0.05
    assert_in_delta drawn.first[0] + drawn.first[2] + 1.5, drawn.last[0], 0.2
  end

  def test_two_at_once_stand_below_each_other
    one, other = blocks([block(0, 200), block(100, 300)])
    assert_operator (one[1] - other[1]).abs, :>=, W::LANE - 6
    assert_equal 1, blocks([block(0, 100), block(100, 200)]).map { |drawn| drawn[1] }.uniq.size
  end

  def test_a_name_is_escaped_and_cut_between_words
    svg = W.new([MONDAY], R::Diary::USUAL, [block(0, 450).with(words: "<Bay & door>")]).to_s
    assert_includes svg, "&lt;Bay &amp; door&gt;"
    narrow = W.new(
      [MONDAY, MONDAY + 1, MONDAY + 2, MONDAY + 3, MONDAY + 4],
      R::Diary::USUAL,
      [block(0, 120).with(words: "River bay, lounge")]
    ).to_s
    assert_equal ["River", "bay"], narrow.scan(%r{class="block-words"[^>]*>([^<]+)<}).flatten
  end

  private

  def block(from, to) =
    W::Block.new(date: MONDAY, from: from, to: to, bench: :table, job: 1, words: "", says: "", href: nil, late: false)

  # @return [Array<Array(Float, Float, Float)>] x, y and width
  def blocks(given) =
    W
      .new([MONDAY], R::Diary::USUAL, given)
      .to_s
      .scan(/<rect x="([\d.]+)" y="([\d.]+)" width="([\d.]+)"[^>]*class="block"/)
      .map { |numbers| numbers.map(&:to_f) }
end
