# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # Cloth that frays wants its edges sealed as it is cut.
      module Fraying
        CODE = "fraying"
        STATION = "cutting"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          {cloth: seen.cutting.cloth.name} if seen.cutting&.cloth&.frays
        end
      end

      Rules.register(Fraying::CODE, Fraying)
    end
  end
end
