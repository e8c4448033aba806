# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # A printed cloth that is shortened has two unknowns: where its motif sits, and where it ends.
      module TwoUnknowns
        CODE = "two_unknowns"
        STATION = "alter"
        MANNER = :ask

        # @param seen [AlterCase]
        # @return [Hash, nil]
        #
        #   Judgement::TwoUnknowns.altering(seen_altered) # => nil
        def self.altering(seen)
          return if seen.alteration.top_tuck && seen.alteration.foot_tuck

          if seen.alteration.shortens? && (seen.curtain.printed || seen.curtain.motif)
            {rise: seen.alteration.rise, length: seen.alteration.from_the_top}
          end
        end
      end

      register(TwoUnknowns)
    end
  end
end
