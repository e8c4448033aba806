# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # Folds are set by hand and left a day or two.
      module DressAndSet
        CODE = "dress_and_set"
        STATION = "hanging"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          {} if seen.reckoning && seen.heading.dressed?
        end
      end

      Rules.register(DressAndSet::CODE, DressAndSet)
    end
  end
end
