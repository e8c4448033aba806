# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Checks
      # There is a seam, and no whole horizontal repeat fits between seams.
      module RepeatWiderThanCloth
        CODE = "repeat_wider_than_cloth"
        LEVEL = :warn
        AT = %w[face].freeze

        # @param reckoning [TreatmentReckoning]
        # @return [Hash, nil]
        #
        #   Checks::RepeatWiderThanCloth.call(reckoning) # => nil
        def self.call(reckoning)
          rule = reckoning.treatment.width_rule
          return if reckoning.treatment.sideways? || !rule.repeat_too_wide?

          if reckoning.curtains.any? { |curtain| curtain.seams.positive? }
            {repeat: rule.cloth.horizontal_repeat, between: rule.between_seams}
          end
        end
      end

      Kinds.register(RepeatWiderThanCloth::CODE, RepeatWiderThanCloth)
    end
  end
end
