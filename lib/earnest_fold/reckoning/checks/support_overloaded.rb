# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Checks
      # The treatment weighs more than the support is rated for.
      module SupportOverloaded
        CODE = "support_overloaded"
        LEVEL = :stop
        AT = %w[support.rating].freeze

        # @param reckoning [TreatmentReckoning]
        # @return [Hash, nil]
        #
        #   made = given({"support/rating" => "2"}).reckon
        #   Checks::SupportOverloaded.call(made).transform_values(&:to_f) # => {:mass=>3.17772, :rating=>2.0}
        def self.call(reckoning)
          mass, rating = reckoning.mass, reckoning.treatment.support.rating
          {mass: mass, rating: rating} if mass && rating && mass > rating
        end
      end

      Kinds.register(SupportOverloaded::CODE, SupportOverloaded)
    end
  end
end
