# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # The made hem kept, copied, or made better: what each takes.
      module KeepMadeHem
        CODE = "keep_made_hem"
        STATION = "alter"
        MANNER = :ask
        # What makers call a good hem: double, and so deep.
        BETTER = Length.mm(80)

        # @param seen [AlterCase]
        # @return [Hash, nil]
        #
        #   Judgement::KeepMadeHem.altering(seen_altered)[:kept] # => 770 mm
        def self.altering(seen)
          return unless seen.alteration.shortens?

          old = seen.alteration.respond_to?(:existing_hem) ? seen.alteration.existing_hem : Allowance::NONE
          surplus = seen.alteration.existing_length - seen.alteration.from_the_top
          surplus = seen.alteration.taken_out_foot if seen.alteration.respond_to?(:taken_out_foot)
          {kept: surplus, copied: old.taken, depth: BETTER, better: BETTER * 2} if surplus.positive?
        end
      end

      register(KeepMadeHem)
    end
  end
end
