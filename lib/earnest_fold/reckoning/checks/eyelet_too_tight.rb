# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Checks
      # The eyelet hardly passes over the pole.
      module EyeletTooTight
        CODE = "eyelet_too_tight"
        LEVEL = :stop

        # @param reckoning [TreatmentReckoning]
        # @return [Hash, nil]
        def self.call(reckoning)
          eyelet =
            reckoning.treatment.heading.respond_to?(:eyelet_diameter) && reckoning.treatment.heading.eyelet_diameter
          pole = reckoning.treatment.support.diameter
          {eyelet: eyelet, least: pole + Eyelet::CLEARANCE} if eyelet && pole && eyelet < pole + Eyelet::CLEARANCE
        end
      end

      Kinds.register(EyeletTooTight::CODE, EyeletTooTight)
    end
  end
end
