# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Checks
      # Space or take-up of the pleats lies outside its range.
      module PleatsOutOfRange
        CODE = "pleats_out_of_range"
        LEVEL = :warn
        AT = %w[heading.pleats].freeze

        # @param reckoning [TreatmentReckoning]
        # @return [Hash, nil]
        #
        #   made = lined_given({"making/widths" => "5"}).reckon
        #   Checks::PleatsOutOfRange.call(made).keys # => [:pleats, :space, :take_up]
        def self.call(reckoning)
          heading = reckoning.treatment.heading
          reckoning.curtains.filter_map { |curtain| heading.out_of_range(curtain.heading) }.first
        end
      end

      Kinds.register(PleatsOutOfRange::CODE, PleatsOutOfRange)
    end
  end
end
