# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Checks
      # A seam shows between pleats.
      module SeamInSpace
        CODE = "seam_in_space"
        LEVEL = :note
        AT = %w[heading.pleats].freeze

        # @param reckoning [TreatmentReckoning]
        # @return [Hash, nil]
        #
        #   Checks::SeamInSpace.call(lined.reckon) # => {:count=>2, :at=>1315 mm}
        def self.call(reckoning)
          heading = reckoning.treatment.heading
          pleated = reckoning.curtains.select { |curtain| curtain.heading.fetch(:pleats, 0).positive? }
          showing = pleated.flat_map do |curtain|
            heading.seam_marks(curtain.task, curtain.heading).select { |mark| mark.kind == :space }
          end
          {count: showing.size, at: showing.first.at} if showing.any?
        end
      end

      Kinds.register(SeamInSpace::CODE, SeamInSpace)
    end
  end
end
