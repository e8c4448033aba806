# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # A steady platform, and the weight carried.
      module SupportWeight
        CODE = "support_weight"
        STATION = "hanging"
        MANNER = :caution

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          {} if seen.reckoning
        end

        # @param seen [AlterCase]
        # @return [Hash, nil]
        def self.altering(seen)
          {}
        end
      end

      Rules.register(SupportWeight::CODE, SupportWeight)
    end
  end
end
