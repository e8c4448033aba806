# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # Cords are knotted at the leading edge.
      module CordsKnotted
        CODE = "cords_knotted"
        STATION = "making"
        STEP = "put_on_heading"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          {} if seen.reckoning && seen.heading.corded?
        end
      end

      Rules.register(CordsKnotted::CODE, CordsKnotted)
    end
  end
end
