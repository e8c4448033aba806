# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # Brackets set the width: lengths taken before they are up are provisional.
      module SupportFitted
        CODE = "support_fitted"
        STATION = "measure"
        MANNER = :ask

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          {length: seen.treatment.supports.first}
        end
      end

      Rules.register(SupportFitted::CODE, SupportFitted)
    end
  end
end
