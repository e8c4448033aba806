# frozen_string_literal: true

require "web_test_helper"

# What is told to Prometheus: how requests end and how long they take, and how the house stands; of nobody.
class MetricsTest < WebTest
  W = EarnestFold::Web

  def test_requests_are_counted_by_how_they_end
    before = counts
    get "/jobs"
    get "/jobs/999999"
    send_form("/jobs", "title" => "Counted room", "unit" => "cm")
    after = counts
    assert_equal 2, after['method="GET",status="2xx"'] - before.fetch('method="GET",status="2xx"', 0)
    assert_equal 1, after['method="GET",status="4xx"'] - before.fetch('method="GET",status="4xx"', 0)
    assert_equal 1, after['method="POST",status="3xx"'] - before.fetch('method="POST",status="3xx"', 0)
    assert_match(/earnest_fold_request_seconds_bucket\{le="0.1"\} \d/, told)
    refute_match(/Counted|Marram|jobs/, told)
  end

  def test_how_the_house_stands
    assert_match(/earnest_fold_database_up 1/, told)
    assert_match(/earnest_fold_errands_waiting 0/, told)
    assert_operator told[/earnest_fold_resident_bytes (\d+)/, 1].to_i, :>, 10_000_000
  end

  def test_without_a_database_it_says_so
    S::Counts.stub(:now, -> { raise S::Unreachable, "gone" }) { assert_match(/earnest_fold_database_up 0/, told) }
  end

  def test_the_application_itself_tells_none
    get "/metrics"
    assert_equal 404, last_response.status
    assert_equal 404, W::Metrics::TOLD.call("PATH_INFO" => "/jobs").first
  end

  private

  def told = W::Metrics::TOLD.call("PATH_INFO" => "/metrics").last.join

  def counts = told.scan(/earnest_fold_requests_total\{([^}]+)\} ([\d.]+)/).to_h { |name, sum| [name, sum.to_f] }
end
