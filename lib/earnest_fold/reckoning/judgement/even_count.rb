# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # An even count, so that both edges turn the same way.
      module EvenCount
        CODE = "even_count"
        STATION = "heading"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          {} if seen.heading.even_counted?
        end
      end

      Rules.register(EvenCount::CODE, EvenCount)
    end
  end
end
