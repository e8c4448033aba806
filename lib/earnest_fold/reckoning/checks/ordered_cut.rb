# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Checks
      # Cuts were ordered of another length than hem, top and repeat take.
      module OrderedCut
        CODE = "ordered_cut"
        LEVEL = :warn
        STATION = "cloth"
        AT = %w[ordered.cut_length].freeze

        # @param reckoning [TreatmentReckoning]
        # @return [Hash, nil]
        #
        #   made = given({"ordered/cut_length" => "230 cm"}).reckon
        #   Checks::OrderedCut.call(made) # => {:given=>2300 mm, :made=>2560 mm, :apart=>260 mm}
        def self.call(reckoning) = Checks.ordered_otherwise(reckoning, :cut_length)
      end

      Kinds.register(OrderedCut::CODE, OrderedCut)
    end
  end
end
