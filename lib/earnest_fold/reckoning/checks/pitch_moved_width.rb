# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Checks
      # The pitch of a tape moved the flat width away from the fullness asked.
      module PitchMovedWidth
        CODE = "pitch_moved_width"
        LEVEL = :note
        AT = %w[heading.fullness].freeze

        # @param reckoning [TreatmentReckoning]
        # @return [Hash, nil]
        #
        #   Checks::PitchMovedWidth.call(reckoning) # => nil
        def self.call(reckoning)
          heading = reckoning.treatment.heading
          return unless heading.dictates? && heading.can_be_thin?

          moves = reckoning.curtains.map { |curtain| curtain.flat_width - curtain.finished_width * heading.asked }
          moved = moves.max_by(&:abs)
          {by: moved} unless moved.zero?
        end
      end

      Kinds.register(PitchMovedWidth::CODE, PitchMovedWidth)
    end
  end
end
