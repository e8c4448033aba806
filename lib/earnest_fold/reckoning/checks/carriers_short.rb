# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Checks
      # All curtains together need more carriers than are on hand.
      module CarriersShort
        CODE = "carriers_short"
        LEVEL = :stop
        STATION = "heading"
        AT = %w[support.carriers].freeze

        # @param reckoning [TreatmentReckoning]
        # @return [Hash, nil]
        #
        #   made = given({"support/carriers" => "10"}).reckon
        #   Checks::CarriersShort.call(made) # => {:needed=>28, :on_hand=>10, :get=>18}
        def self.call(reckoning)
          needed, on_hand = reckoning.carriers_needed, reckoning.treatment.support.carriers
          {needed: needed, on_hand: on_hand, get: needed - on_hand} if needed && on_hand && needed > on_hand
        end
      end

      Kinds.register(CarriersShort::CODE, CarriersShort)
    end
  end
end
