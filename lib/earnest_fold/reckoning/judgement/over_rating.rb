# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # Mass over 80 % of what the support carries, or nobody knows what it carries.
      module OverRating
        CODE = "over_rating"
        STATION = %w[heading hanging].freeze
        MANNER = :caution

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          mass, rating = seen.reckoning&.mass, seen.treatment.support.rating
          {mass: mass} if mass && (rating.nil? || mass > rating * 4 / 5)
        end
      end

      Rules.register(OverRating::CODE, OverRating)
    end
  end
end
