# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module FieldKinds
      # A number between bounds; a bound is given with whether it belongs.
      NumberKind = Value.define(:over, :least, :under, :most) do
        include Kind

        # @return [NumberKind] where a bound that isn't given is none
        #
        #   FieldKinds::NumberKind.between(least: 0, most: 5).inside?(6) # => false
        def self.between(over: nil, least: nil, under: nil, most: nil) =
          new(over: over, least: least, under: under, most: most)

        def read(raw, _unit, problems)
          number = Exact.read(raw)
          return problems.add(:not_a_number) unless number
          return problems.add(:not_over_zero) if over == 0 && number <= 0
          return problems.add(:out_of_range, over: over, least: least, under: under, most: most) unless inside?(number)

          number
        end

        # @param number [Rational]
        # @return [Boolean]
        #
        #   FieldKinds::NumberKind.between(over: 0).inside?(0) # => false
        def inside?(number)
          (over.nil? || number > over) && (least.nil? || number >= least) && (under.nil? || number < under) &&
            (most.nil? || number <= most)
        end

        def take(typed, _unit) = Written.number(typed)

        def doubt(kept, _unit) = Written.doubt(kept.to_s)

        def keep(raw, _unit) = Exact.written(raw)

        def write(kept) = Exact.read(kept)

        # To the hundredth, which is finer than anybody's habits.
        #
        #   FieldKinds::NumberKind.between(least: 0).kept_of(2.5r) # => "2.5"
        def kept_of(value) = LengthWriter.decimal((value * 100).round(half: :up), 2).sub(/\.?0+\z/, "")

        def plain_number?(_unit) = true

        def schema
          {
            "type" => "number",
            "exclusiveMinimum" => over,
            "minimum" => least,
            "exclusiveMaximum" => under,
            "maximum" => most
          }.compact
        end
      end
    end
  end
end
