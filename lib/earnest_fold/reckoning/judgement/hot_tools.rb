# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # A heat cutter wants something under it, air, and the hand behind the blade.
      module HotTools
        CODE = "hot_tools"
        STATION = "cutting"
        MANNER = :caution

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          {} if seen.cutting&.first_on_piece && seen.house.cutter == "heat"
        end
      end

      Rules.register(HotTools::CODE, HotTools)
    end
  end
end
