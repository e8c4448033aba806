# frozen_string_literal: true

module EarnestFold
  module Work
    # How far a work has come at a station: what is alike for everything that a workroom has in hand.
    module Stations
      # Of all works, in the order of the work: some have no Alter, others no Heading, Cloth and Cutting.
      NAMES = %w[measure heading cloth alter cutting making hanging account].freeze

      module_function

      # @param work [AtWork]
      # @param station [String]
      # @return [Symbol] :done, :open, :warned or :stopped
      def reckon_state(work, station)
        return :open if open?(work, station)

        levels = work.checks_at(station).map(&:level)
        return :stopped if levels.include?(:stop)

        levels.include?(:warn) ? :warned : :done
      end

      # @return [Boolean] whether anything is still to be done there
      def open?(work, station)
        case station
        when "cutting" then !work.cut?
        when "making" then !work.finished?
        when "hanging" then !work.hung
        when "account" then !work.invoiced
        else work.wanting?(station)
        end
      end
    end
  end
end
