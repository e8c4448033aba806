# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # Cords and small children.
      module CordsInReach
        CODE = "cords_in_reach"
        STATION = %w[measure hanging].freeze
        MANNER = :caution

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          if seen.treatment.site.small_children &&
              (seen.heading.corded? || seen.treatment.wall.cords || seen.treatment.wall.control)
            {}
          end
        end
      end

      Rules.register(CordsInReach::CODE, CordsInReach)
    end
  end
end
