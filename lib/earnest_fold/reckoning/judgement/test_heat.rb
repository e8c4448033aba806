# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # Buckram's glue and prints: a scrap first.
      module TestHeat
        CODE = "test_heat"
        STATION = "cloth"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          {} if seen.heading.fused?
        end
      end

      Rules.register(TestHeat::CODE, TestHeat)
    end
  end
end
