# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Checks
      # Other widths of cloth were ordered than the fullness takes.
      module OrderedWidths
        CODE = "ordered_widths"
        LEVEL = :warn
        STATION = "cloth"
        AT = %w[ordered.widths].freeze

        # @param reckoning [TreatmentReckoning]
        # @return [Hash, nil]
        #
        #   made = given({"ordered/widths" => "3"}).reckon
        #   Checks::OrderedWidths.call(made) # => {:given=>(3/1), :made=>(2/1), :apart=>(1/1)}
        def self.call(reckoning) = Checks.ordered_otherwise(reckoning, :widths)
      end

      Kinds.register(OrderedWidths::CODE, OrderedWidths)
    end
  end
end
