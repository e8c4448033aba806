# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Checks
      # There is no cloth for pleats, or no room between the flat ends.
      module NoPleats
        CODE = "no_pleats"
        LEVEL = :stop
        AT = %w[heading.fullness making.widths].freeze

        # @param reckoning [TreatmentReckoning]
        # @return [Hash, nil]
        #
        #   Checks::NoPleats.call(reckoning) # => nil
        def self.call(reckoning)
          heading = reckoning.treatment.heading
          flat = reckoning.curtains.find { |curtain| !heading.pleatable?(curtain.task) }
          {flat: flat.flat_width, finished: flat.finished_width} if flat
        end
      end

      Kinds.register(NoPleats::CODE, NoPleats)
    end
  end
end
