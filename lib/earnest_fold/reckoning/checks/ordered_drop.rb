# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Checks
      # The drop ordered is another than the window gives.
      module OrderedDrop
        CODE = "ordered_drop"
        LEVEL = :warn
        STATION = "measure"
        AT = %w[ordered.finished_drop].freeze

        # @param reckoning [TreatmentReckoning]
        # @return [Hash, nil]
        #
        #   made = given({"ordered/finished_drop" => "210 cm"}).reckon
        #   Checks::OrderedDrop.call(made) # => {:given=>2100 mm, :made=>2128 mm, :apart=>28 mm}
        def self.call(reckoning) = Checks.ordered_otherwise(reckoning, :finished_drop)
      end

      Kinds.register(OrderedDrop::CODE, OrderedDrop)
    end
  end
end
