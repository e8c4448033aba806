# frozen_string_literal: true

require "web_test_helper"

# One device that goes wild takes nobody else's turn.
class LimitsTest < WebTest
  W = EarnestFold::Web
  HERE, THERE = "192.0.2.7", "192.0.2.8"

  def app = @app ||= W::Limits.new(W::Door.new(W::App.new!), all: 200)

  def setup
    super
    # The minute doesn't end in the middle.
    @now = Time.now.to_i
    Time.stub(:now, Time.at(@now)) { app }
  end

  def test_so_many_papers_a_minute_and_an_address
    at_once do
      120.times { get "/nothing.pdf", {}, "REMOTE_ADDR" => HERE }
      assert_equal 404, last_response.status
      get "/shelf-labels.pdf", {}, "REMOTE_ADDR" => HERE
      assert_equal [429, "60"], [last_response.status, last_response["Retry-After"]]
      assert_match(/wait a minute, and do it again/, text)
      get "/shelf-labels.pdf", {}, "REMOTE_ADDR" => THERE
      assert_equal 200, last_response.status
      get "/jobs", {}, "REMOTE_ADDR" => HERE
      assert_equal 200, last_response.status
    end
  end

  def test_so_many_requests_of_any_kind
    at_once do
      201.times { get "/errands", {}, "REMOTE_ADDR" => HERE }
      assert_equal 429, last_response.status
      get "/errands", {}, "REMOTE_ADDR" => THERE
      assert_equal 200, last_response.status
    end
  end

  # Of however many accounts.
  def test_so_many_tries_at_the_door
    at_once do
      40.times do |index|
        post "/me/sign-in", {"login" => "#{index}@sluice.example", "password" => "x"}, "REMOTE_ADDR" => HERE
      end
      refute_equal 429, last_response.status
      %w[/me/sign-in /join/x /for/x].each do |path|
        post path, {}, "REMOTE_ADDR" => HERE
        assert_equal 429, last_response.status, path
      end
      post "/me/sign-in", {}, "REMOTE_ADDR" => THERE
      refute_equal 429, last_response.status
    end
  end

  def test_a_minute_later_it_goes_on
    at_once { 201.times { get "/errands", {}, "REMOTE_ADDR" => HERE } }
    at_once(60) { get "/errands", {}, "REMOTE_ADDR" => HERE }
    assert_equal 200, last_response.status
  end

  def test_what_is_refused_is_not_done
    before = workroom.jobs.list.size
    at_once do
      21.times { post "/jobs/import", {}, "REMOTE_ADDR" => HERE }
      assert_equal 429, last_response.status
    end
    assert_equal before, workroom.jobs.list.size
  end

  def test_what_is_counted_is_bounded
    counts = W::Limits::Counts.new
    (W::Limits::Counts::MOST + 50).times { |index| counts.increment("key #{index}", 1, expires_in: 60) }
    assert_equal 2, counts.increment("key #{W::Limits::Counts::MOST + 49}", 1, expires_in: 60)
    assert_nil counts.read("key 0")
  end

  private

  # Within one minute by the clock.
  def at_once(later = 0, &block) = Time.stub(:now, Time.at(@now + later), &block)
end
