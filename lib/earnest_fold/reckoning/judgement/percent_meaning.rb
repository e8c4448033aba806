# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # A percentage in all, or a percentage added: makers mean either.
      module PercentMeaning
        CODE = "percent_meaning"
        STATION = "heading"
        MANNER = :ask

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          fullness = seen.heading.respond_to?(:fullness) ? seen.heading.fullness : nil
          return unless fullness&.percentage?

          percent = (fullness.written_as == :percent_total) ? fullness.ratio * 100 : (fullness.ratio - 1) * 100
          {percent: percent, total: percent / 100, added: 1 + percent / 100}
        end
      end

      Rules.register(PercentMeaning::CODE, PercentMeaning)
    end
  end
end
