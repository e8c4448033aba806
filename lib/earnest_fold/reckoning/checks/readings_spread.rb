# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Checks
      # The readings of the drop lie far apart: floor or support is out of level.
      module ReadingsSpread
        CODE = "readings_spread"
        LEVEL = :warn
        STATION = "measure"
        AT = %w[drop.readings.left].freeze

        # @param reckoning [TreatmentReckoning]
        # @return [Hash, nil]
        #
        #   Checks::ReadingsSpread.call(given({"drop/readings" => ["210 cm", "214 cm"]}).reckon) # => {:spread=>40 mm}
        def self.call(reckoning)
          spread = reckoning.treatment.drop.spread
          {spread: spread} if spread > Drop::WIDE_SPREAD
        end
      end

      Kinds.register(ReadingsSpread::CODE, ReadingsSpread)
    end
  end
end
