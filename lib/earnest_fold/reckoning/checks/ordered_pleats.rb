# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Checks
      # Another count of pleats was ordered than the rules make.
      module OrderedPleats
        CODE = "ordered_pleats"
        LEVEL = :warn
        STATION = "heading"
        AT = %w[ordered.pleats].freeze

        # @param reckoning [TreatmentReckoning]
        # @return [Hash, nil]
        def self.call(reckoning) = Checks.ordered_otherwise(reckoning, :pleats)
      end

      Kinds.register(OrderedPleats::CODE, OrderedPleats)
    end
  end
end
