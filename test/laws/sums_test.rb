# frozen_string_literal: true

require "test_helper"
require "json"
require "laws/random_jobs"

# Whoever reckons a line of the working again, from the figures that are shown, comes to the figure that is shown.
class SumsTest < EarnestFoldTest
  R = EarnestFold::Reckoning
  W = EarnestFold::Words

  def test_what_is_shown_adds_up_in_every_unit
    told = 0
    120.times do |seed|
      working(seed).product([R::Units::CM, R::Units::MM, R::Units::IN, R::Units::IN_EIGHTHS]).each do |line, unit|
        shown = W.expression(line.expression, unit)
        next if shown.match?(/rounded|nearest|→/) || shown.empty?

        told += 1
        assert_in_delta evaluated(shown),
          read(W.figure(line.value, unit)),
          slack(line, unit),
          "seed #{seed}, #{line.name}, #{unit.name}: #{shown} = #{W.figure(line.value, unit)}"
      end
    end
    assert_operator told, :>, 2000
  end

  def test_nothing_is_added_that_is_nothing_and_no_brackets_stand_round_one_figure
    120.times do |seed|
      working(seed).each do |line|
        shown = W.expression(line.expression, R::Units::MM)
        refute_match(/\+ 0(?![.\d])|\(\S+\)/, shown, "seed #{seed}, #{line.name}")
      end
    end
  end

  private

  def working(seed)
    job = EarnestFold::Documents::JobFormat.read(JSON.generate(RandomJobs.new(seed).document))
    R::JobReckoning.new(job).treatments.flat_map(&:working)
  rescue R::Invalid
    []
  end

  # Half a step of what it leads to, and what the thousandths of long sums can make.
  def slack(line, unit) =
    (line.value.is_a?(R::Length) ? Float(unit.step / unit.size) / 2 : 0.0005) + 0.0006 * (1 + read_factors(line)) + 1e-9

  def read_factors(line) = line.expression.grep(Numeric).map { |number| Float(number.abs) }.max.to_f

  def evaluated(shown)
    plain =
      shown
        .gsub(%r{(\d+) (\d+)/(\d+)}) { "(#{$1}+#{$2}.0/#{$3})" }
        .gsub(%r{(?<![\d.])(\d+)/(\d+)}) { "(#{$1}.0/#{$2})" }
    # What stands here was written by the application: figures and signs alone.
    raise ArgumentError, plain unless plain.match?(%r{\A[\d.()+×÷−/ -]*\z})

    eval(plain.tr("×÷−", "*/-").gsub(/(?<![\d.])(\d+)(?![\d.])/, '\1.0')) # rubocop:disable Security/Eval
  end

  def read(figure)
    whole, fraction = figure.tr("−", "-").match(%r{\A(?:(-?[\d.]+)(?:\s|\z))?-?(\d+/\d+)?\z}).captures
    sign = figure.start_with?("−") ? -1 : 1
    (whole ? Float(whole) : 0.0) + (fraction ? sign * Float(Rational(fraction)) : 0.0)
  end
end
