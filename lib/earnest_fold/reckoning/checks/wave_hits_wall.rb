# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Checks
      # The wave reaches further back than the support stands off.
      module WaveHitsWall
        CODE = "wave_hits_wall"
        LEVEL = :warn
        AT = %w[support.projection].freeze

        # @param reckoning [TreatmentReckoning]
        # @return [Hash, nil]
        #
        #   made = headed("wave", "support/projection" => "3 cm").reckon
        #   Checks::WaveHitsWall.call(made) # => {:projection=>30 mm}
        def self.call(reckoning)
          projection = reckoning.treatment.support.projection
          heading = reckoning.treatment.heading
          {projection: projection} if projection && heading.deeper_than?(projection)
        end
      end

      Kinds.register(WaveHitsWall::CODE, WaveHitsWall)
    end
  end
end
