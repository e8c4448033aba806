# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # What a treatment needs beside cloth, summed over its curtains: weights (or chain instead, by the flat width),
    # and what its heading counts and measures off.
    module Sundries
      COUNTED = %i[hooks gliders eyelets rings tabs tape_length buckram_length].freeze

      module_function

      # @param reckoning [TreatmentReckoning]
      # @return [Hash{Symbol => Integer, Length}] without what isn't needed
      def of(reckoning)
        curtains = reckoning.curtains
        figures = curtains.map(&:heading)
        counted =
          COUNTED
            .select { |name| figures.all? { |heading| heading[name] } }
            .to_h { |name| [name, figures.map { |heading| heading[name] }.reduce(:+)] }
        {weights: curtains.sum(&:weights), chain: curtains.map(&:flat_width).reduce(:+), **counted}
      end
    end
  end
end
