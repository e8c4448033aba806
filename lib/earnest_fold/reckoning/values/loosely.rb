# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # A length that is advice, not a figure that is reckoned: round on either tape. It is reckoned with as so many
    # millimetres.
    class Loosely < Length
      # @param mm [Rational, Integer]
      # @param inches [Rational, Integer]
      def initialize(mm, inches)
        @inches = Length.inches(inches)
        super(Length.exact(mm))
      end

      # @param unit [Unit]
      # @return [Length] as a person with that tape says it
      #
      #   Loosely.new(150, 6).on(Units::IN) # => 762/5 mm
      def on(unit) = unit.inches? ? @inches : self
    end
  end
end
