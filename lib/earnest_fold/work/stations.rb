# frozen_string_literal: true

module EarnestFold
  module Work
    # The stations, in the order of the work, and how far a work has come at each.
    module Stations
      module_function

      # @return [Array<Station>] each of stations/
      def all
        @all ||= begin
          LOADER.eager_load_namespace(self)
          constants.map { |name| const_get(name) }.grep(Station).sort_by(&:place).freeze
        end
      end

      # @return [Array<String>]
      def names = all.map(&:name)

      # @return [Array<String>] those at which fields of anything are filled in
      def filled
        @filled ||=
          names & [Reckoning::Treatment::FIELDS, *Reckoning::Alterations.map(&:all_fields)].flat_map(&:stations)
      end

      # @param work [AtWork]
      # @return [Array<String>] those that it has
      def of(work) = all.select { |station| station.of?(work) }.map(&:name)

      # @param work [AtWork]
      # @param name [String] of a station
      # @return [Symbol] :done, :open, :warned or :stopped
      def reckon_state(work, name)
        return :open if all.find { |station| station.name == name }.open?(work)

        levels = work.checks_at(name).map(&:level)
        return :stopped if levels.include?(:stop)

        levels.include?(:warn) ? :warned : :done
      end
    end
  end
end
