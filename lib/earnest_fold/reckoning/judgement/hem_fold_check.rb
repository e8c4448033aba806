# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # A hem is measured while it is pressed, both folds.
      module HemFoldCheck
        CODE = "hem_fold_check"
        STATION = "making"
        STEP = "press_hem"
        ALTERING_STEP = "press_new_hem"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          fold(seen.treatment.making.hem) if seen.reckoning && seen.treatment.making.hem.taken.positive?
        end

        def self.fold(hem) =
          if hem.kind == "double"
            {form: :double, depth: hem.depth, both: hem.depth * 2}
          else
            {form: :single, depth: hem.depth}
          end

        # @param seen [AlterCase]
        # @return [Hash, nil]
        def self.altering(seen)
          fold(seen.alteration.hem) if seen.alteration.respond_to?(:hem) && seen.alteration.hem.taken.positive?
        end
      end

      register(HemFoldCheck)
    end
  end
end
