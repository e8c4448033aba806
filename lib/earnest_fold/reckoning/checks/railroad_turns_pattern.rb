# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Checks
      # Run sideways, a one-way cloth lies on its side.
      module RailroadTurnsPattern
        CODE = "railroad_turns_pattern"
        LEVEL = :warn
        AT = %w[run].freeze

        # @param reckoning [TreatmentReckoning]
        # @return [Hash, nil]
        #
        #   Checks::RailroadTurnsPattern.call(reckoning) # => nil
        def self.call(reckoning)
          {} if reckoning.treatment.sideways? && reckoning.treatment.face.one_way
        end
      end

      Kinds.register(RailroadTurnsPattern::CODE, RailroadTurnsPattern)
    end
  end
end
