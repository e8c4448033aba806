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
end
