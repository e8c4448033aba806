# frozen_string_literal: true

require "test_helper"
require "project/example_window"

# The examples in the comments are true: each is run, and gives what stands behind its arrow. They speak of one window
# ({ExampleWindow}).
class ExamplesTest < EarnestFoldTest
  # Where an example may name what stands in the core, and the window.
  module Place
    include EarnestFold
    include EarnestFold::Reckoning

    def self.examined = Object.new.extend(ExampleWindow).instance_eval { binding }
  end

  ARROW = /\A(?<code>.+?)\s+# => (?<gives>.+)\z/
  CODE = /\A\s*#   (?=\S| {2})(?<code>.*)\z/

  def test_what_stands_behind_an_arrow_is_what_comes_of_it
    run = files.sum { |file| examples(file).sum { |lines| examine(file, lines) } }
    assert_operator run, :>, 1320
  end

  private

  def files = Dir[root("lib/earnest_fold/**/*.rb")]

  # Lines of code that stand together in a comment, where one has an arrow.
  def examples(file) =
    File.readlines(file, chomp: true)
      .slice_when { |one, other| CODE.match?(one) != CODE.match?(other) }
      .select { |lines| CODE.match?(lines.first) && lines.any? { |line| line.include?("# =>") } }
      .map { |lines| lines.map { |line| CODE.match(line)[:code] } }

  # @return [Integer] how many were run
  def examine(file, lines)
    place, waiting, count = Place.examined, "", 0
    lines.each do |line|
      found = ARROW.match(line)
      code = "#{waiting}#{found ? found[:code] : line}\n"
      next waiting = code unless found

      given = place.eval(code)
      assert_equal found[:gives], given.inspect, -> { "#{file}: #{code}" }
      waiting, count = "", count + 1
    end
    count
  end
end
