# frozen_string_literal: true

require "web_test_helper"
require "logger"

# What the log keeps of a fault: where, and what, and nothing of what stood in a row.
class LogTest < WebTest
  def test_a_fault_is_told_without_the_content_of_rows
    error = assert_raises(Sequel::UniqueConstraintViolation) do
      workroom.transaction { 2.times { workroom.insert(:people, name: "Mrs Tallow of Heron Ferry House") } }
    end
    assert_includes error.message, "Mrs Tallow"
    refute_includes EarnestFold::Web::RequestLog.told(error), "Mrs Tallow"
    assert_match(/UniqueConstraintViolation/, EarnestFold::Web::RequestLog.told(error))
  end

  def test_a_line_says_whose_it_was_by_numbers
    log = StringIO.new
    logged = EarnestFold::Web::RequestLog.new(app, Logger.new(log))
    here = {"HTTP_HOST" => "127.0.0.1", "REMOTE_ADDR" => "192.0.2.7"}
    Rack::MockRequest.new(logged).get("/jobs", here.merge(SignedIn::KEY => SignedIn.owner(workroom)))
    Rack::MockRequest.new(logged).get("/jobs", here)
    assert_match(%r{GET  200 .* #{workroom.id}/0  /jobs$}, log.string)
    assert_match(%r{GET  303 .* -/192\.0\.2\.7  /jobs$}, log.string)
    Rack::MockRequest.new(logged).get("/join/#{"k" * 43}", here)
    refute_match(/Ida|Marram|kkk/, log.string)
  end
end
