# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # Two people who mean different points: the commonest costly mistake.
      module WhichLength
        CODE = "which_length"
        STATION = "measure"
        MANNER = :ask

        # A drop that was ordered is the finished one.
        # @param seen [JudgementCase]
        # @return [Hash, nil]
        #
        #   Judgement::WhichLength.call(seen) # => {:reading=>2138 mm}
        def self.call(seen)
          return if seen.treatment.ordered.finished_drop

          drop = seen.treatment.drop
          {reading: drop.shortest} unless drop.measured_from && drop.measured_to
        end

        # @param seen [AlterCase]
        # @return [Hash, nil]
        #
        #   Judgement::WhichLength.altering(seen_altered) # => {:form=>:altering, :reading=>1640 mm}
        def self.altering(seen)
          return if seen.alteration.cuts_nothing?

          if seen.curtain.length_from.empty? || seen.curtain.length_to.empty?
            {form: :altering, reading: seen.alteration.wanted_length}
          end
        end
      end

      register(WhichLength)
    end
  end
end
