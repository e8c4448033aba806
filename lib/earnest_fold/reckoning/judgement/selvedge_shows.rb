# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # A printed selvedge shows against the light and draws the side up.
      module SelvedgeShows
        CODE = "selvedge_shows"
        STATION = %w[cloth cutting].freeze
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          face = seen.treatment.face
          return unless face&.selvedge&.positive?

          {selvedge: face.selvedge} if face.repeats? || face.selvedge_in_seam || face.frays
        end
      end

      Rules.register(SelvedgeShows::CODE, SelvedgeShows)
    end
  end
end
