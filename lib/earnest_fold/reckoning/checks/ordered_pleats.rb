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
        #
        #   made = lined_given({"ordered/pleats" => "3"}).reckon
        #   Checks::OrderedPleats.call(made) # => {:given=>3, :made=>10, :apart=>7}
        def self.call(reckoning) = Checks.ordered_otherwise(reckoning, :pleats)
      end

      Kinds.register(OrderedPleats::CODE, OrderedPleats)
    end
  end
end
