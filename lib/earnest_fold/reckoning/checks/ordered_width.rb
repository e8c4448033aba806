# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Checks
      # The width ordered is another than the window gives.
      module OrderedWidth
        CODE = "ordered_width"
        LEVEL = :warn
        STATION = "measure"
        AT = %w[ordered.finished_width].freeze

        # @param reckoning [TreatmentReckoning]
        # @return [Hash, nil]
        #
        #   made = given({"ordered/finished_width" => "80 cm"}).reckon
        #   Checks::OrderedWidth.call(made).keys # => [:given, :made, :apart]
        def self.call(reckoning) = Checks.ordered_otherwise(reckoning, :finished_width)
      end

      Kinds.register(OrderedWidth::CODE, OrderedWidth)
    end
  end
end
