# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Checks
      # A curtain is made with less than 95 % of the fullness asked.
      module FullnessThin
        CODE = "fullness_thin"
        LEVEL = :warn
        AT = %w[making.widths heading.fullness].freeze

        # @param reckoning [TreatmentReckoning]
        # @return [Hash, nil]
        #
        #   Checks::FullnessThin.call(given({"making/widths" => "1"}).reckon) # => {:made=>(32/25), :asked=>(2/1)}
        def self.call(reckoning)
          heading = reckoning.treatment.heading
          return unless heading.can_be_thin?

          thin = reckoning.curtains.select { |curtain| curtain.fullness < heading.asked * 19 / 20 }
          {made: thin.map(&:fullness).min, asked: heading.asked} if thin.any?
        end
      end

      Kinds.register(FullnessThin::CODE, FullnessThin)
    end
  end
end
