# frozen_string_literal: true

require "documents_helper"

# The kinds of field: what each reads, what it refuses and why.
class FieldKindsTest < EarnestFoldTest
  include DocumentsHelper

  K = DocumentsHelper::R::FieldKinds
  # kind => {given => read value, or the code of the problem}
  CASES = {
    K::LengthKind.new(least: :over_zero) => {
      1 => 10r,
      "1/2 in" => 127 / 10r,
      0 => :not_over_zero,
      "x" => :not_a_length,
      nil => :not_a_length,
      10_001 => :too_long,
      [] => :not_a_length
    },
    K::LengthKind.new(least: :zero) => {0 => 0r, -1 => :below_zero, "100 m" => 100_000r, "100.001 m" => :too_long},
    K::LengthKind.new(least: :any) => {-1 => -10r, "-101 m" => :too_long},
    K::NumberKind.between(least: 0, under: 50) => {
      0 => 0r,
      "49.99" => 4999 / 100r,
      50 => :out_of_range,
      -1 => :out_of_range,
      "x" => :not_a_number,
      true => :not_a_number
    },
    K::CountKind.new(least: 2, most: 9) => {2 => 2, "9" => 9, 1 => :too_few, 10 => :too_many, "2.5" => :not_a_count},
    K::WidthsKind.new => {
      "2.5" => 5 / 2r,
      3 => 3r,
      0 => :not_half_widths,
      "1.3" => :not_half_widths,
      1001 => :too_many
    },
    K::ChoiceKind.new(words: %w[a b]) => {"a" => "a", "c" => :not_a_choice, 1 => :not_a_choice},
    K::FlagKind.new => {true => true, false => false, "yes" => :not_yes_or_no, nil => :not_yes_or_no},
    K::TextKind.new(least: 1, most: 3) => {
      "abc" => "abc",
      "" => :empty,
      "  " => :empty,
      "abcd" => :too_much_text,
      1 => :not_text,
      "\u0000" => :not_text,
      "\xff" => :not_text
    },
    K::PriceKind.new => {
      "38.50" => 77 / 2r,
      "38,5" => 77 / 2r,
      "-1" => :not_a_price,
      38 => :not_a_price,
      "1e5" => :not_a_price
    },
    K::CountListKind.new => {
      [3, 3] => [3, 3],
      [] => :empty_list,
      [0] => :too_few,
      "3" => :not_a_list,
      [1] * 101 => :too_many
    }
  }.freeze

  CASES.each_with_index do |(kind, cases), index|
    cases.each do |given, wanted|
      define_method(:"test_#{kind.class.name.split("::").last}_#{index}_reads_#{given.inspect[0, 24]}") do
        problems = R::Problems.new
        read = kind.read(given, R::Units::CM, problems)
        read = read.mm if read.is_a?(R::Length)
        assert_equal wanted, wanted.is_a?(Symbol) ? problems.to_a.map(&:code).first : read
        assert_nil read if wanted.is_a?(Symbol) && !given.is_a?(Array)
      end
    end
  end

  def test_fullness_in_its_three_writings_is_one_ratio
    [2.25r, {"ratio" => 9/4r}, {"percent_total" => 225}, {"percent_added" => 125}].each do |given|
      problems = R::Problems.new
      assert_equal 9/4r, K::FullnessKind.new.read(given, R::Units::CM, problems).ratio
    end
    {
      {} => :not_fullness,
      {"ratio" => 1, "percent_total" => 100} => :not_fullness,
      {"percent_added" => -100} => :out_of_range
    }.each do |given, code|
      problems = R::Problems.new
      assert_nil K::FullnessKind.new.read(given, R::Units::CM, problems)
      assert_equal [code], problems.to_a.map(&:code)
    end
  end

  # kind => {as a person types it => as it is kept}
  TYPED = {
    K::WidthsKind.new => {"2½" => "2.5", "2 1/2" => "2.5", "2 ½" => "2.5", "3" => "3", "2 1/3" => "2 1/3"},
    K::FullnessKind.new => {
      "2½" => "2.5",
      "2 1/4" => "2.25",
      "2x" => "2",
      "× 2.2" => "2.2",
      "2 times" => "2",
      "2:1" => "2",
      "2½ to 1" => "2.5",
      "1:2" => "1:2",
      "x" => "x",
      "twice" => "twice",
      "220%" => {"percent_total" => "220"},
      "+ 75 per cent" => {"percent_added" => "75"}
    },
    K::NumberKind.between(least: 0) => {"½" => "0.5", "40/4" => "10", "1/0" => "1/0", "3 %" => "3 %"},
    K::PercentKind.between(least: 0) => {"3 %" => "3", "2½%" => "2.5", "3" => "3"},
    K::MoneyKind.new => {
      "£1,250.00" => "1250.00",
      "1.250,5 €" => "1250.5",
      "1 250" => "1250",
      "1,250,000.00" => "1250000.00",
      "12,50" => "12.50",
      "1,250" => "1,250",
      "− 1,250.00" => "-1250.00",
      "12 pounds" => "12 pounds",
      "-5" => "-5"
    },
    K::PriceKind.new => {"$ 18.50" => "18.50", "18,5 " => "18.5"}
  }.freeze

  # A figure alone is an hour, never minutes after midnight.
  TIMES = {
    "8:30" => 510, "8.30" => 510, "08h30" => 510, "830" => 510, "0830" => 510, "8 30" => 510, "8" => 480, "8h" => 480,
    "17" => 1020, "1730" => 1050, "12 am" => 0, "12.15 p.m." => 735, "8 pm" => 1200, "0" => 0,
    "24:00" => nil, "170" => nil, "13 pm" => nil, "8:60" => nil, "early" => nil, "83000" => nil
  }.freeze

  def test_a_time_of_day_is_read_as_people_write_it
    kind = K::ClockKind.new(latest: 1439)
    TIMES.each do |typed, minutes|
      problems = R::Problems.new
      read = kind.read(kind.take(typed, R::Units::CM), R::Units::CM, problems)
      assert_equal [minutes, minutes.nil?], [read, problems.any?], typed
    end
  end

  # kind => {as a person types it => the figure that is offered, with thousands; nil where it isn't asked}
  EITHER_WAY = {
    K::LengthKind.new(least: :any) => {
      "1,250 mm" => "1250 mm", "1.250 mm" => "1250 mm", "-1,250" => "-1250 cm", "2,365 m" => nil, "93.125 in" => nil,
      "1,250 in" => "1250 in", "236,500" => nil, "0,125" => nil, "12,5" => nil
    },
    K::LengthKind.new(least: :any, sane: R::Length.mm(8000)) => {"1,250 mm" => "1250 mm", "1,250" => nil},
    K::NumberKind.between(least: 0) => {"1,250" => "1250", "2.125" => nil, "0,375" => nil, "2,5" => nil},
    K::PriceKind.new => {"£1,250" => "1250", "1,250.00" => nil, "18.375" => nil}
  }.freeze

  # A comma, or a point in what nobody measures to the thousandth: asked, before cloth is cut for the wrong one.
  def test_what_can_be_read_in_two_ways_is_asked_about
    EITHER_WAY.each do |kind, cases|
      cases.each do |typed, offered|
        code, facts = kind.doubt(kind.take(typed, R::Units::CM), R::Units::CM)
        assert_equal [offered && :read_either_way, offered], [code, facts&.fetch(:offer)], typed
      end
    end
  end

  # What was kept as text before is still the minutes that it was.
  def test_minutes_that_were_kept_stay_readable =
    assert_equal 510, K::ClockKind.new(latest: 1439).read("510", R::Units::CM, R::Problems.new)

  def test_a_figure_is_kept_as_it_is_meant =
    TYPED.each { |kind, cases| cases.each { |typed, kept| assert_equal kept, kind.take(typed, R::Units::CM), typed } }

  def test_a_float_is_a_programmers_mistake =
    assert_raises(TypeError) { K::LengthKind.new(least: :any).read(1.5, R::Units::CM, R::Problems.new) }

  def test_a_pointer_escapes_its_steps =
    assert_equal "/a~1b/c~0d/0", R::Problems.new.within("a/b").within("c~d").within(0).at
end
