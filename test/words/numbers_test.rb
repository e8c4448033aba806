# frozen_string_literal: true

require "test_helper"

# Words follow their numbers: wherever a count stands right before things that are counted, one is told as one.
class NumbersTest < EarnestFoldTest
  Words = EarnestFold::Words
  THINGS = %w[widths hooks rings gliders curtains cuts pleats eyelets weights pieces steps minutes windows jobs days
    marks parts layers sections places lines].freeze
  # Bounds that are never one.
  NEVER_ONE = %w[
    problems.too_many_widths problems.too_many_pleats problems.too_much_text shelf_csv.too_many_lines
  ].freeze

  def test_one_is_told_as_one
    counted = /%\{\w+\} (?:small |more )?(#{THINGS.join("|")})\b/
    told =
      Words
        .keys
        .reject { |key| key.match?(/\.(one|other)\z/) || NEVER_ONE.include?(key) }
        .select { |key| Words.text(key).to_s.gsub(/%\{\w+ \?[^}]*\}/, "").match?(counted) }

    assert_empty told.map { |key| "#{key}: #{Words.text(key)}" }
  end

  def test_a_number_chooses_its_words
    assert_equal "1 width", Words.say("working.widths", count: "1")
    assert_equal "½ width", Words.say("working.widths", count: "½")
    assert_equal "0 widths", Words.say("working.widths", count: 0)
    assert_equal "2½ widths", Words.say("working.widths", count: "2½")
    assert_match(
      /Lay the width out with its top away from you, and measure it: 230\.0 cm/,
      Words.say("work_steps.lay_out_cuts.do", cuts: 1, cut_drop: EarnestFold::Reckoning::Length.cm(230))
    )
    assert_match(
      /Lay the 4 widths out/,
      Words.say("work_steps.lay_out_cuts.do", cuts: 4, cut_drop: EarnestFold::Reckoning::Length.cm(230))
    )
  end
end
