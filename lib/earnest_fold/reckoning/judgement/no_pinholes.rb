# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # Pins leave holes that show light.
      module NoPinholes
        CODE = "no_pinholes"
        STATION = "making"
        STEP = "lock_in_lining"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          {cloth: seen.treatment.lining.cloth.name} if seen.coated?
        end
      end

      Rules.register(NoPinholes::CODE, NoPinholes)
    end
  end
end
