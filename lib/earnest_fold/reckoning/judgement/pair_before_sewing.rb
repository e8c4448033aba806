# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # Both curtains are compared before either hem is sewn.
      module PairBeforeSewing
        CODE = "pair_before_sewing"
        STATION = "making"
        STEP = "compare_hems"
        ALTERING_STEP = "compare_lines"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          {tolerance: seen.house.pair_tolerance} if seen.pair? && seen.treatment.making.hem.taken.positive?
        end

        # @param seen [AlterCase]
        # @return [Hash, nil]
        def self.altering(seen)
          {tolerance: seen.house.pair_tolerance} if seen.made.pair?
        end
      end

      Rules.register(PairBeforeSewing::CODE, PairBeforeSewing)
    end
  end
end
