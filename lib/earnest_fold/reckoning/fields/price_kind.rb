# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module FieldKinds
      # Money by the metre, as a decimal written in a string.
      class PriceKind < Value.define
        include Kind

        PATTERN = /\A\d{1,9}([.,]\d{1,4})?\z/

        def read(raw, _unit, problems)
          return problems.add(:not_a_price) unless raw.is_a?(String) && raw.strip.match?(PATTERN)

          Rational(raw.strip.tr(",", "."))
        end

        def take(typed, _unit) = Written.money(typed)

        def doubt(kept, _unit) = Written.doubt(Written.bare(kept.to_s))

        # To the hundredth, as prices are written.
        #
        #   FieldKinds::PriceKind.new.kept_of(18.5r) # => "18.50"
        def kept_of(value) = LengthWriter.decimal((value * 100).round(half: :up), 2)

        def plain_number?(_unit) = true

        def schema = {"type" => "string", "pattern" => '^\s*\d{1,9}([.,]\d{1,4})?\s*$'}
      end
    end
  end
end
