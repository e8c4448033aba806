# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # How a cloth is sold, as a person chooses it: its order step by a name, by the metre or by the yard.
      class SoldBy < Reckoning::Value.define(:lengths)
        include Reckoning::FieldKinds::Kind

        R = Reckoning
        STEPS = {
          "metre_tenths" => "100 mm",
          "metre_halves" => "500 mm",
          "metre_whole" => "1000 mm",
          "yard_eighths" => "4 1/2 in",
          "yard_quarters" => "9 in",
          "yard_halves" => "18 in",
          "yard_whole" => "36 in"
        }.freeze
        # What a new cloth is sold by, for either tape.
        USUAL = {true => STEPS["yard_eighths"], false => STEPS["metre_tenths"]}.freeze

        # @return [Reckoning::Field] a cloth's order step, chosen so
        def self.field =
          @field ||= R::Cloth::FIELDS.fetch(:order_step).then { |field| field.with(kind: new(lengths: field.kind)) }

        # @param spec [Hash] a cloth's, as it is kept
        # @return [Symbol] :metre or :yard
        def self.of(spec)
          length = spec["order_step"] && R::LengthReader.read(spec["order_step"], R::Units::MM)
          R::Cloth.sold_by(length || R::Cloth::ORDER_STEP)
        end

        # @param unit [Reckoning::Unit]
        # @return [String] the order step of a new cloth
        def self.usual(unit) = USUAL.fetch(unit.inches?)

        def read(raw, unit, problems) = lengths.read(raw, unit, problems)

        # A step of none of these names stands as it is kept.
        def show(kept, _unit)
          step = kept ? exactly(kept) : R::Cloth::ORDER_STEP
          STEPS.key(STEPS.values.find { |one| exactly(one) == step }) || kept
        end

        def take(typed, unit) = STEPS.fetch(typed) { lengths.take(typed, unit) }

        def words = STEPS.keys

        def said = "sold_by"

        private

        def exactly(kept) = R::LengthReader.read(kept, R::Units::MM)
      end
    end
  end
end
