# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # The made hem kept, copied, or made better: what each takes.
      module KeepMadeHem
        CODE = "keep_made_hem"
        STATION = "alter"
        MANNER = :ask

        # @param seen [AlterCase]
        # @return [Hash, nil]
        def self.altering(seen)
          return unless seen.made.shortens?

          old = seen.alteration.respond_to?(:existing_hem) ? seen.alteration.existing_hem : Allowance::NONE
          surplus = seen.alteration.existing_length - seen.alteration.from_the_top
          {kept: surplus, copied: old.taken, better: Length.mm(160)} if surplus.positive?
        end
      end

      Rules.register(KeepMadeHem::CODE, KeepMadeHem)
    end
  end
end
