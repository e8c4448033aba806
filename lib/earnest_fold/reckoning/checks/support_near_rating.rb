# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Checks
      # The treatment weighs over 80 % of what the support is rated for.
      module SupportNearRating
        CODE = "support_near_rating"
        LEVEL = :warn
        AT = %w[support.rating].freeze

        # @param reckoning [TreatmentReckoning]
        # @return [Hash, nil]
        #
        #   made = given({"support/rating" => "3.5"}).reckon
        #   Checks::SupportNearRating.call(made).transform_values(&:to_f) # => {:mass=>3.17772, :rating=>3.5}
        def self.call(reckoning)
          mass, rating = reckoning.mass, reckoning.treatment.support.rating
          {mass: mass, rating: rating} if mass && rating && mass <= rating && mass > rating * 4 / 5
        end
      end

      Kinds.register(SupportNearRating::CODE, SupportNearRating)
    end
  end
end
