# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # A public room, or a heater or flame near.
      module FlamePublic
        CODE = "flame_public"
        STATION = %w[cloth hanging].freeze
        MANNER = :caution

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          {} if seen.treatment.site.public_room || seen.treatment.site.heat_near
        end
      end

      Rules.register(FlamePublic::CODE, FlamePublic)
    end
  end
end
