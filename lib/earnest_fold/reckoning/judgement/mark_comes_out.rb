# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # Whatever marks the cloth is tried first.
      module MarkComesOut
        CODE = "mark_comes_out"
        STATION = "cutting"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          {cloth: seen.cutting.cloth.name} if seen.cutting&.first_on_cloth
        end
      end

      Rules.register(MarkComesOut::CODE, MarkComesOut)
    end
  end
end
