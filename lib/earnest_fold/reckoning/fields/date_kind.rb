# frozen_string_literal: true

require "date"

module EarnestFold
  module Reckoning
    module FieldKinds
      # A day: "2026-03-14".
      class DateKind < Value.define
        include Kind

        PATTERN = /\A\d{4}-\d\d-\d\d\z/

        def read(raw, _unit, problems) = DateKind.date(raw) || problems.add(:not_a_date)

        # @param text [String, nil]
        # @return [Date, nil] nil for what is no day
        #
        #   FieldKinds::DateKind.date("2026-02-30") # => nil
        def self.date(text)
          Date.iso8601(text) if PATTERN.match?(text.to_s)
        rescue Date::Error
          nil
        end

        def schema = {"type" => "string", "format" => "date"}
      end
    end
  end
end
