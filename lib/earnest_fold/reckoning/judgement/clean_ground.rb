# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # What is cut on the floor picks up what lies there.
      module CleanGround
        CODE = "clean_ground"
        STATION = "cutting"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          {} if seen.cutting&.first_on_cloth && seen.house.cut_on == "floor"
        end
      end

      Rules.register(CleanGround::CODE, CleanGround)
    end
  end
end
