# frozen_string_literal: true

require "test_helper"
require "prop_check"

# What the standard times have been in truth: the middle of the jobs, and no single bad day.
class LearningTest < EarnestFoldTest
  G = PropCheck::Generators
  M = EarnestFold::Reckoning::MakingUp

  def test_three_jobs_teach
    learnt = learn([1, 10r, 12r], [2, 10r, 15r], [3, 10r, 90r])
    assert_equal [[:press, 4r, 6r, 3]], learnt.map { |one| [one.name, one.now, one.learnt, one.jobs] }
    assert_empty learn([1, 10r, 12r], [2, 10r, 15r])
  end

  # Ten slow curtains of one job are one job.
  def test_a_job_counts_once
    slow = Array.new(10) { [1, 10r, 100r] }
    assert_equal 4r, learn(*slow, [2, 10r, 10r], [3, 10r, 9r]).first.learnt
  end

  def test_a_step_teaches_each_of_its_standards
    timed =
      (1..3).map do |job|
        M::Learning::Timed.new(job: job, times: {set_up: 1, hem_by_hand: 2r}, planned: 32r, real: 48r)
      end
    assert_equal(
      {set_up: 6r, hem_by_hand: 21r},
      M::Learning.of(timed, M::StandardTimes::USUAL).to_h { |one| [one.name, one.learnt] }
    )
  end

  def test_the_median_lies_in_the_middle
    PropCheck.forall(G.array(G.integer, min: 1, max: 15)) do |numbers|
      median = M::Learning.median(numbers.map(&:to_r))
      assert_operator numbers.count { |number| number < median }, :<=, numbers.size / 2
      assert_operator numbers.count { |number| number > median }, :<=, numbers.size / 2
    end
  end

  private

  def learn(*steps) =
    M::Learning.of(
      steps.map do |job, planned, real|
        M::Learning::Timed.new(job: job, times: {press: 2r}, planned: planned, real: real)
      end,
      M::StandardTimes::USUAL
    )
end
