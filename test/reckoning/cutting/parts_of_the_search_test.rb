# frozen_string_literal: true

require "test_helper"

# The parts that the search for many cuts is made of, each by its own law.
class PartsOfTheSearchTest < EarnestFoldTest
  R = EarnestFold::Reckoning
  C = R::Cutting
  P = C::Patterned
  Kind = C::PieceFill::Shape

  def test_multisets_are_packed_and_told_again
    random = Random.new(8)
    50.times do
      most = Array.new(1 + random.rand(6)) { random.rand(9) }
      sets = C::Multisets.new(most)
      counts = most.map { |count| random.rand(count + 1) }
      packed = sets.pack(counts)
      assert_equal counts, sets.counts(packed)
      assert sets.fits?(packed)
      counts.each_index { |kind| assert_equal counts[kind] + 1 <= most[kind], sets.fits?(packed + sets.units[kind]) }
    end
  end

  # Held against every way to choose from a few.
  def test_the_fullest_stretch_is_the_fullest_of_all
    random = Random.new(9)
    60.times do
      lengths = Array.new(3) { 5 + random.rand(40) }.uniq
      counts = lengths.map { random.rand(4) }
      room = random.rand(200)
      fullest = C::Fullest.new(lengths, counts, 200)
      best =
        counts
          .map { |count| (0..count).to_a }
          .then { |first, *others| first.product(*others) }
          .map { |taken| taken.zip(lengths).sum { |count, length| count * length } }
          .select { |sum| sum <= room }
          .max
      assert_equal best, fullest.reach(room)
      3.times do |turn|
        taken = fullest.taken(room, turn)
        assert_equal best, taken.zip(lengths).sum { |count, length| count * length }
        taken.zip(counts).each { |count, most| assert_includes 0..most, count }
      end
    end
  end

  def test_stretches_lie_between_the_flaws_and_after_the_square_off
    stretches = C::Stretches.new(
      [C::Stretches::Bar.new(1000, [[0, 20], [300, 310], [305, 330], [980, 1000]], 50, 0)],
      100
    )
    assert_equal [[50, 300], [330, 980]], stretches.all.map { |stretch| [stretch.from, stretch.to] }
    assert_empty C::Stretches.new([C::Stretches::Bar.new(120, [[60, 61]], 0, 0)], 100).all
  end

  def test_places_are_in_phase_and_clear_of_flaws
    kinds = [Kind.new(10, 90), Kind.new(40, 130)]
    places = places_of(kinds, length: 900, flaws: [[200, 240]])
    assert_operator places.size, :>, 6
    places.size.times do |place|
      kind, from = kinds[places.kinds[place]], places.start(place)
      assert_equal kind.start, (from - 7) % 64
      assert_equal from + kind.length, places.ends[place]
      refute from < 240 && from + kind.length > 200, "a cut over the flaw"
      assert_operator from, :>=, 20
      following = places.following[place]
      assert_operator places.start(following), :>=, places.ends[place] if following < places.size
    end
  end

  # All cuts end on one line of the pattern: what a plan can use goes in steps, and a bound is raised to the next.
  def test_a_bound_is_raised_to_what_can_be_attained
    attainable = P::Attainable.new(64, 32, [7, 10])
    open, used, alone = P::Bounds.new(-1, 900), P::Bounds.new(0, 900), P::Bounds.new(-1, -1)
    assert_equal 7 * 64 + 1, attainable.least(3 * 64, [0, 0], [used, alone])
    assert_equal 39 * 64 + 1, attainable.least(7 * 64 + 2, [0, 0], [used, alone])
    assert_equal 17 * 64 + 2, attainable.least(7 * 64 + 5, [0, 0], [used, used])
    assert_equal 10 * 64 + 1, attainable.least(7 * 64 + 5, [0, 0], [open, open])
    assert_equal 5 * 64 + 1,
      P::Attainable.new(64, 1, Array.new(12, 0)).least(4 * 64 + 30, Array.new(12, 0), [used] + [open] * 11),
      "too many to choose from"
  end

  # At any prices the filling that gains most does, beside every order of the cuts; and a window is kept to.
  def test_the_best_filling_gains_most
    random = Random.new(10)
    40.times do
      kinds = Array.new(2) { Kind.new(random.rand(64), 100 + random.rand(90)) }
      places = places_of(kinds, length: 300 + random.rand(300), flaws: [])
      piece = P::PieceFillings.new(0, nil, places, [0, 1], 64)
      prices = Array.new(2) { random.rand(9000) }
      window = P::Bounds.new(-1, 100 + random.rand(500))
      gains =
        (1..6).flat_map do |size|
          [0, 1].repeated_permutation(size).filter_map { |order| gain(places, order, prices, window) }
        end
      gain, filling = piece.best(prices, window)
      gains.empty? ? assert_nil(gain) : assert_equal(gains.min, gain)
      assert_equal gain, filling.gain(prices) if filling
    end
  end

  def test_the_rule_of_thumb_lays_the_longest_first
    cuts =
      [900, 400, 700].each_with_index.map do |length, index|
        C::Cut.new(treatment: "t", curtain: "left", number: index, phase: nil, start: nil, length: R::Length.mm(length))
      end
    problems = R::Problems.new
    raw = {"id" => "c", "use" => "face", "width" => 1400, "pieces" => [{"id" => "a", "length" => 2500}]}
    cloth = R::Cloth.build(R::Cloth::FIELDS.read(raw, R::Units::MM, problems), problems)
    laid = C::LongestFirst.new(C::PlanTask.new(cloth, cuts)).pieces.first
    assert_equal [900, 700, 400], laid.placed.map { |placed| placed.cut.length.mm.to_i }
  end

  private

  def places_of(kinds, length:, flaws:)
    P::Places.new(
      C::PieceFill.new(length: length, flaws: flaws, pattern_start: 7, repeat: 64, square_off: 20, kinds: kinds),
      kinds
    )
  end

  # What it costs less what it yields; nil where it doesn't fit, or ends outside the window.
  def gain(places, order, prices, window)
    ended = along(places, order) or return
    ended * 64 + 1 - order.sum { |kind| prices[kind] } if ended.between?(window.least, window.most)
  end

  def along(places, order)
    at, ended = 0, 0
    order.each do |kind|
      place = places.of_kind(kind, at)
      return nil if place.nil?

      at, ended = places.following[place], places.ends[place]
    end
    ended
  end
end
