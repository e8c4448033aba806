# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Checks
      # Space or take-up of the pleats lies outside its range.
      module PleatsOutOfRange
        CODE = "pleats_out_of_range"
        LEVEL = :warn

        # @param reckoning [TreatmentReckoning]
        # @return [Hash, nil]
        def self.call(reckoning)
          heading = reckoning.treatment.heading
          return unless heading.is_a?(HandPleat)

          made = reckoning.curtains.map(&:heading).reject { |figures| figures[:pleats].zero? }
          outside = made.find do |figures|
            !heading.space.include?(figures[:space]) || !heading.take_up.include?(figures[:take_up])
          end
          {pleats: outside[:pleats], space: outside[:space], take_up: outside[:take_up]} if outside
        end
      end

      Kinds.register(PleatsOutOfRange::CODE, PleatsOutOfRange)
    end
  end
end
