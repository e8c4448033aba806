# frozen_string_literal: true

require "test_helper"
require "prop_check"

# Money is whole hundredths: parts add up to the whole, and what isn't whole is rounded once.
class MoneyTest < EarnestFoldTest
  G = PropCheck::Generators
  M = EarnestFold::Reckoning::Money

  def test_a_half_goes_away_from_zero
    assert_equal ["41.48", "-41.48", "0.00"], [M.of(41_475 / 1000r), M.of(-41_475 / 1000r), M.of(1 / 1000r)].map(&:to_s)
  end

  def test_floats_and_strangers_are_refused
    assert_raises(TypeError) { M.of(1.5) }
    assert_raises(TypeError) { M.of(1) + 1 }
    assert_nil M.of(1) <=> 1
  end

  def test_it_reads_what_it_writes
    PropCheck.forall(G.integer) { |hundredths| assert_equal M.new(hundredths), M.read(M.new(hundredths).to_s) }
  end

  def test_shares_add_up_to_the_whole
    PropCheck.forall(G.integer, G.array(G.positive_integer, min: 1, max: 12)) do |hundredths, weights|
      whole = M.new(hundredths)
      shares = whole.share(weights)
      assert_equal whole, M.sum(shares)
      exact = weights.map { |weight| Rational(hundredths * weight, weights.sum) }
      shares.zip(exact).each { |share, wanted| assert_operator (share.hundredths - wanted).abs, :<=, 1 }
    end
  end

  def test_steps_are_whole_and_near
    PropCheck.forall(G.integer, G.positive_integer) do |hundredths, step|
      nearest, up = %w[nearest up].map { |way| M.new(hundredths).in_steps(M.new(step), way).hundredths }
      assert_equal [0, 0], [nearest % step, up % step]
      assert_operator (nearest - hundredths).abs * 2, :<=, step
      assert_includes 0...step, up - hundredths
    end
  end
end
