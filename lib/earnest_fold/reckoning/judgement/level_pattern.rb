# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # Which fold is level across the room: hem or top?
      module LevelPattern
        CODE = "level_pattern"
        STATION = %w[cloth cutting].freeze
        MANNER = :ask

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          face = seen.treatment.face
          if face&.repeats? && seen.curtains.size > 1 && seen.treatment.pattern.place == "free"
            {repeat: face.vertical_repeat}
          end
        end
      end

      Rules.register(LevelPattern::CODE, LevelPattern)
    end
  end
end
