# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # What is behind must still be worked when this is dressed.
      module ControlBehind
        CODE = "control_behind"
        STATION = "hanging"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        #
        #   Judgement::ControlBehind.call(seen) # => nil
        def self.call(seen)
          {} if seen.behind || stands_behind?(seen)
        end

        def self.stands_behind?(seen) =
          seen.treatment.wall.features.any? { |name, _| %i[cords control handle].include?(name) }
        private_class_method :stands_behind?
      end

      register(ControlBehind)
    end
  end
end
