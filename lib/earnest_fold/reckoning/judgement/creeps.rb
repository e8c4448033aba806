# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # Slippery and linen-like cloth creeps under the needle.
      module Creeps
        CODE = "creeps"
        STATION = "making"
        STEP = "join_widths"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          {cloth: seen.treatment.face.name} if seen.treatment.face&.creeps
        end
      end

      Rules.register(Creeps::CODE, Creeps)
    end
  end
end
