# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # What is in the wall is looked for before it is drilled.
      module DrillBehind
        CODE = "drill_behind"
        STATION = "hanging"
        MANNER = :caution

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          {} if seen.reckoning
        end
      end

      Rules.register(DrillBehind::CODE, DrillBehind)
    end
  end
end
