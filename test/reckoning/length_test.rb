# frozen_string_literal: true

require "test_helper"
require "prop_check"

# Lengths: exact, read as people write them, written as people read them.
class LengthTest < EarnestFoldTest
  R = EarnestFold::Reckoning
  G = PropCheck::Generators

  READ = {
    "236" => 2360,
    "236.5" => 2365,
    "236,5" => 2365,
    " 236 cm " => 2360,
    "2,36 m" => 2360,
    "2.36m" => 2360,
    "1524 mm" => 1524,
    "93 1/2 in" => Rational(23_749, 10),
    "93½ in" => Rational(23_749, 10),
    "93-1/2\"" => Rational(23_749, 10),
    "7' 9 1/2\"" => Rational(23_749, 10),
    "7 ft 9½" => Rational(23_749, 10),
    "7′ 9½″" => Rational(23_749, 10),
    "7 ft 9 1/2 in" => Rational(23_749, 10),
    "5 feet 7 inches" => Rational(17_018, 10),
    "½" => 5,
    "-1 1/4 in" => Rational(-127, 4),
    "−1.5" => -15,
    "- 2 cm" => -20,
    "+3" => 30,
    ".5" => 5,
    "1/64 in" => Rational(127, 320),
    "2 m 36 cm" => 2360,
    "2 m 36" => 2360,
    "1m05" => 1050,
    "2 m 3 cm" => 2030,
    "2 m 5" => nil,
    "2 1/2 yd" => 2286,
    "25 yards" => 22_860,
    "1 yd." => Rational(9144, 10),
    "6'" => Rational(18_288, 10),
    "12.7e0" => nil,
    "" => nil,
    "cm" => nil,
    "1/0" => nil,
    "3 ft 2 m" => nil,
    "1 2 3" => nil,
    "twelve" => nil,
    "1.2.3" => nil,
    "--3" => nil,
    "9" * 50 => nil,
    "93 1/2/3" => nil
  }.freeze

  # Advice is round on either tape, and reckoned with as it is.
  def test_advice_is_round_on_either_tape
    loosely = EarnestFold::Reckoning::Loosely.new(150, 6)
    units = [EarnestFold::Reckoning::Units::CM, EarnestFold::Reckoning::Units::IN]
    assert_equal ["15.0 cm", "6 in"], units.map { |unit| EarnestFold::Words.with_unit(loosely, unit) }
    assert_equal EarnestFold::Reckoning::Length.mm(300), loosely * 2
    assert_equal loosely, EarnestFold::Reckoning::Length.mm(150)
  end

  def test_reads_what_people_write
    READ.each { |text, mm| assert_equal_or_nil mm && R::Length.mm(mm), R::LengthReader.read(text, R::Units::CM), text }
  end

  # What stands on a paper can be typed as it stands there.
  def test_what_is_written_for_people_is_read
    words = EarnestFold::Words
    [R::Length.cm(1830), R::Length.inches(90), R::Length.inches(755/8r), R::Length.mm(5)].each do |length|
      [R::Units::CM, R::Units::IN].each do |unit|
        read = R::LengthReader.read(words.with_unit(length, unit), R::Units::MM)
        assert_operator (read - length).abs.mm, :<=, unit.step / 2
      end
      %i[metre yard].each do |by|
        assert_operator (R::LengthReader.read(words.bought(length, by), R::Units::MM) - length).abs.mm, :<=, 5
      end
    end
  end

  def test_writes_each_unit
    {
      [2365, R::Units::CM] => "236.5",
      [2365, R::Units::MM] => "2365",
      [Rational(23_749, 10), R::Units::IN] => "93 1/2",
      [Rational(127, 20), R::Units::IN] => "1/4",
      [0, R::Units::IN] => "0",
      [-5, R::Units::CM] => "−0.5",
      [Rational(27_724, 10), R::Units::CM] => "277.2",
      [Rational(5, 10), R::Units::CM] => "0.1",
      [Rational(127, 10), R::Units::IN_EIGHTHS] => "1/2"
    }.each do |(mm, unit), text|
      assert_equal text, R::LengthWriter.write(R::Length.mm(mm), unit)
    end
  end

  def test_printing_then_reading_gives_it_back
    PropCheck.forall(G.integer, G.one_of(*R::Units::ALL.values.map { |unit| G.constant(unit) })) do |steps, unit|
      length = R::Length.mm(unit.step * steps)
      assert_equal length, R::LengthReader.read(R::LengthWriter.write(length, unit), unit)
    end
  end

  def test_parts_add_up_to_the_whole
    PropCheck.forall(G.positive_integer, G.positive_integer) do |mm, count|
      whole = R::Length.mm(mm)
      assert_equal whole, Array.new(count % 50 + 1) { whole / (count % 50 + 1) }.sum(R::Length::ZERO)
    end
  end

  def test_rounding_up_covers_and_is_near
    PropCheck.forall(G.integer, G.positive_integer) do |sevenths, step|
      length, by = R::Length.mm(Rational(sevenths, 7)), R::Length.mm(Rational(step, 3))
      assert_operator length.ceil_to(by), :>=, length
      assert_operator length.ceil_to(by) - length, :<, by
    end
  end

  def test_wrong_arithmetic_is_a_type_error
    length = R::Length.mm(10)
    [-> { length + 1 }, -> { length - 1.5 }, -> { length * 1.5 }, -> { R::Length.mm(0.1) }, -> { length * length },
      -> { R::Length.mm("3") }, -> { length % 2 }].each do |wrong|
      assert_raises(TypeError, &wrong)
    end
    assert_nil length <=> 10
    assert_raises(ArgumentError) { length < 10 }
  end

  def test_equal_lengths_are_one_key = assert_equal 1, [R::Length.cm(1), R::Length.mm(10)].uniq.size

  private

  def assert_equal_or_nil(wanted, got, text) = wanted.nil? ? assert_nil(got, text) : assert_equal(wanted, got, text)
end
