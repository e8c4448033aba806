# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # Nap or pattern has one direction: every cut lies the same way, its top marked.
      module OneWayCut
        CODE = "one_way_cut"
        STATION = "cutting"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          {length: seen.cutting.length} if seen.cutting&.cloth&.one_way
        end
      end

      Rules.register(OneWayCut::CODE, OneWayCut)
    end
  end
end
