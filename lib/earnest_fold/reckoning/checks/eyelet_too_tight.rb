# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Checks
      # The eyelet hardly passes over the pole.
      module EyeletTooTight
        CODE = "eyelet_too_tight"
        LEVEL = :stop
        AT = %w[heading.eyelet_diameter support.diameter].freeze

        # @param reckoning [TreatmentReckoning]
        # @return [Hash, nil]
        #
        #   made = headed("eyelet", "support/diameter" => "4 cm").reckon
        #   Checks::EyeletTooTight.call(made) # => {:eyelet=>40 mm, :least=>50 mm}
        def self.call(reckoning)
          pole = reckoning.treatment.support.diameter
          pole && reckoning.treatment.heading.too_tight_for(pole)
        end
      end

      Kinds.register(EyeletTooTight::CODE, EyeletTooTight)
    end
  end
end
