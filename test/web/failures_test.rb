# frozen_string_literal: true

require "web_test_helper"

# One tree of errors, one table: every leaf raised from a route gets its status and words of its own, and never a trace.
class FailuresTest < WebTest
  W = EarnestFold::Web
  RAISED = {}

  # The application with one route more, that raises whatever it is told.
  class Raising < W::App
    get("/raise") { raise RAISED.fetch(:error) }
  end

  def app = Raising

  def self.leaves(error = EarnestFold::Error) =
    error.subclasses.empty? ? [error] : error.subclasses.flat_map { |one| leaves(one) }

  def self.raised(leaf) =
    if leaf == EarnestFold::Reckoning::Invalid
      leaf.new([EarnestFold::Reckoning::Problem.new(at: "/x", code: :missing, data: {})])
    else
      leaf.new("one")
    end

  leaves.each do |leaf|
    define_method(:"test_#{leaf.name}_is_answered_by_the_table") do
      RAISED[:error] = FailuresTest.raised(leaf)
      get "/raise"

      assert_equal W::Failures::STATUSES.fetch(leaf), last_response.status
      assert_includes text, EarnestFold::Words.say("failures.#{last_response.status}.title")
      refute_match(/\.rb|#{leaf.name}/, text)
    end
  end

  def test_the_tree_is_small_and_every_status_has_words
    assert_operator FailuresTest.leaves.size, :>=, 8
    (W::Failures::STATUSES.values + W::Failures::PLAIN + [500]).uniq.each do |status|
      assert EarnestFold::Words.say?("failures.#{status}.title")
    end
  end

  def test_what_nobody_mapped_is_a_500_with_a_number_that_the_log_has
    RAISED[:error] = ZeroDivisionError.new("divided by 0")
    log = StringIO.new
    logged = W::RequestLog.new(Raising.new!.method(:call), Logger.new(log))
    answer = Rack::MockRequest.new(logged).get("/raise", "HTTP_HOST" => "127.0.0.1")

    assert_equal 500, answer.status
    number = answer.body[/number (\h{8})/, 1]

    assert number
    assert_match(/#{number} ZeroDivisionError/, log.string)
    refute_match(/ZeroDivisionError|\.rb/, answer.body)
  end
end
