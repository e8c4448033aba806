# frozen_string_literal: true

require "test_helper"

# Hand pleats: the best count against trying all, and hidden seams against a plain search.
class PleatsTest < EarnestFoldTest
  R = EarnestFold::Reckoning

  def test_the_best_count_is_the_best_of_all
    random = Random.new(7)
    600.times do
      best = R::BestPleats.new(
        between: mm(100 + random.rand(4000)),
        extra: mm(1 + random.rand(6000)),
        space: range(random),
        take_up: range(random)
      )
      assert_equal (2..400).min_by { |count| best.rank(count) }, best.count, best.inspect
    end
  end

  def test_seams_are_hidden_with_the_least_largest_difference
    random = Random.new(11)
    hidden = 0
    400.times do
      pleats, take_up, space, lead = 3 + random.rand(5), 80 + random.rand(90), 70 + random.rand(60), random.rand(60)
      whole = lead + pleats * take_up + (pleats - 1) * space
      seams = Array.new(1 + random.rand(2)) { random.rand(whole) }.sort
      search = R::HiddenSeams.new(
        pleats: pleats,
        take_up: mm(take_up),
        space: mm(space),
        lead: mm(lead),
        tolerance: mm(15)
      )
      wanted = plain_search(pleats, take_up, space, lead, seams)
      folds = search.take_ups(seams.map { |seam| mm(seam) })
      assert_equal mm(pleats * take_up), folds.sum(R::Length::ZERO)
      next unless wanted

      hidden += 1
      assert_in_delta wanted, search.largest_difference(seams.map { |seam| mm(seam) }).mm, 0.001
      assert_operator folds.map { |fold| (fold - mm(take_up)).abs }.max,
        :<=,
        search.largest_difference(seams.map { |seam| mm(seam) })
      assert_hidden(folds, space, lead, seams)
    end
    assert_operator hidden, :>, 60
  end

  def test_a_seam_out_of_reach_shows_and_the_others_are_still_hidden
    search = R::HiddenSeams.new(pleats: 3, take_up: mm(100), space: mm(100), lead: mm(0), tolerance: mm(15))
    folds = search.take_ups([mm(150), mm(203)])
    assert_equal mm(300), folds.sum(R::Length::ZERO)
    assert_operator folds.first, :<, mm(100)
  end

  private

  def mm(number) = R::Length.mm(number)

  def range(random)
    low = random.rand(90)
    R::Range3.new(min: mm(low), target: mm(low + 1 + random.rand(60)), max: mm(low + 61 + random.rand(80)))
  end

  # For every way to put the seams into pleats, halve towards the least difference at which the sums can still be
  # reached.
  def plain_search(pleats, take_up, space, lead, seams)
    ways = (1..pleats).to_a.repeated_permutation(seams.size)
    ways.filter_map { |way| least(pleats, take_up, space, lead, seams.zip(way)) }.min
  end

  def least(pleats, take_up, space, lead, placed)
    low, high = 0.0, 15.0
    return unless reachable?(pleats, take_up, space, lead, placed, high + 1e-9)

    50.times do
      middle = (low + high) / 2
      reachable?(pleats, take_up, space, lead, placed, middle) ? high = middle : low = middle
    end
    high
  end

  # Carries the range of the running sum of differences from pleat to pleat.
  def reachable?(pleats, take_up, space, lead, placed, most)
    low = high = 0.0
    (1..pleats).each do |pleat|
      start = lead + (pleat - 1) * (take_up + space)
      placed.select { |_, own| own == pleat }.each { |seam, _| high = [high, seam - 5 - start].min }
      return false if low > high + 1e-9

      low, high = low - most, high + most
      placed.select { |_, own| own == pleat }.each { |seam, _| low = [low, seam + 5 - start - take_up].max }
      return false if low > high + 1e-9
    end
    low <= 1e-9 && high >= -1e-9
  end

  def assert_hidden(folds, space, lead, seams)
    at = mm(lead)
    pleats = folds.map { |fold| [at, at + fold].tap { at = at + fold + mm(space) } }
    seams.each { |seam| assert pleats.any? { |from, to| mm(seam).between?(from + mm(5), to - mm(5)) } }
  end
end
