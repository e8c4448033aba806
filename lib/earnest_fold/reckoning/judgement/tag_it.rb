# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # A finished curtain carries its tag.
      module TagIt
        CODE = "tag_it"
        STATION = %w[hanging account].freeze
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          {drop: seen.reckoning.finished_drop} if seen.reckoning
        end

        # @param seen [AlterCase]
        # @return [Hash, nil]
        def self.altering(seen)
          {drop: seen.alteration.length_at_last}
        end
      end

      Rules.register(TagIt::CODE, TagIt)
    end
  end
end
