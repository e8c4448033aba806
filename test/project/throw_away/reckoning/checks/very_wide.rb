# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Checks
      # So wide that it is worth a word.
      module VeryWide
        CODE = "very_wide"
        LEVEL = :note
        STATION = "blessing"
        AT = %w[support.length].freeze

        # @param reckoning [TreatmentReckoning]
        # @return [Hash, nil]
        def self.call(reckoning) = {width: reckoning.curtains.first.span.finished_width}
      end

      Kinds.register(VeryWide::CODE, VeryWide)
    end
  end
end
