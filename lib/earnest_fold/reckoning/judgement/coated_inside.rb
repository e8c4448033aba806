# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # The coated side of a blackout lies between the cloths.
      module CoatedInside
        CODE = "coated_inside"
        STATION = %w[cloth making].freeze
        STEP = "lock_in_lining"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          cloth = seen.treatment.lining&.cloth
          {cloth: cloth.name} if cloth&.coated
        end
      end

      Rules.register(CoatedInside::CODE, CoatedInside)
    end
  end
end
