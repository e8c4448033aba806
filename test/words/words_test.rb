# frozen_string_literal: true

require "test_helper"
require_relative "../laws/random_jobs"

# What is said to people: every message filled in, every figure as they write it.
class WordsTest < EarnestFoldTest
  R = EarnestFold::Reckoning
  Words = EarnestFold::Words

  def test_nothing_is_left_open_in_what_is_said
    150.times do |seed|
      job = EarnestFold::Documents::JobFormat.read(JSON.generate(RandomJobs.new(seed).document))
      said = JSON.generate(EarnestFold::Documents::ReckoningFormat.new(R::JobReckoning.new(job)).to_h)
      refute_match(/%\{|translation missing|Rational|#</, said, "seed #{seed}")
    end
  end

  def test_figures_as_people_write_them
    assert_equal %w[2 2½ ½ 10½], [2r, 5/2r, 1/2r, 21/2r].map { |count| Words.widths(count) }
    numbers = [263/100r, 2, 1/2r, -5/4r, 0]
    assert_equal ["2.63", "2", "0.5", "−1.25", "0"], numbers.map { |number| Words.number(number) }
    assert_equal ["414.80", "0.01", "7.00"], [2074/5r, 1/200r, 7r].map { |amount| Words.money(amount) }
    assert_equal "18.3 m", Words.bought(R::Length.mm(18_300), :metre)
    assert_equal ["2 1/8 yd", "20.01 yd"],
      [R::Length.inches(153/2r), R::Length.mm(18_300)].map { |length| Words.bought(length, :yard) }
    assert_equal "(284.0 + 9.0) × 2",
      Words.expression(["(", R::Length.cm(284), "+", R::Length.cm(9), ")", "×", 2], R::Units::CM)
    assert_equal "93 1/2 in", Words.with_unit(R::Length.inches(187/2r), R::Units::IN)
  end

  def test_a_key_without_words_is_told_to_the_programmer
    assert_raises(I18n::ArgumentError) { Words.say("nowhere.at.all") }
    assert_raises(KeyError) do
      Words.say("checks.readings_spread") && Words.say("checks.readings_spread", wrong: 1)
    end
  end
end
