# frozen_string_literal: true

module EarnestFold
  module Work
    # The stations, in the order of the work, and how far a work has come at each.
    module Stations
      module_function

      # @return [Array<Station>] each of stations/
      #
      #   Work::Stations.all.first.name # => "measure"
      def all
        @all ||= begin
          LOADER.eager_load_namespace(self)
          constants.map { |name| const_get(name) }.grep(Station).sort_by(&:place).freeze
        end
      end

      # @return [Array<String>]
      #
      #   Work::Stations.names # => ["measure", "heading", "cloth", "alter", "cutting", "making", "hanging", "account"]
      def names = all.map(&:name)

      # @return [Array<String>] those at which fields of anything are filled in
      #
      #   Work::Stations.filled # => ["measure", "heading", "cloth", "alter"]
      def filled
        @filled ||=
          names & [Reckoning::Treatment::FIELDS, *Reckoning::Alterations.map(&:all_fields)].flat_map(&:stations)
      end

      # @param work [AtWork]
      # @return [Array<String>] those that it has
      #
      #   Work::Stations.of(own) # => ["measure", "alter", "making", "hanging", "account"]
      def of(work) = all.select { |station| station.of?(work) }.map(&:name)

      # @param work [AtWork]
      # @param name [String] of a station
      # @return [Symbol] :done, :open, :warned or :stopped
      #
      #   Work::Stations.reckon_state(work, "cloth") # => :done
      def reckon_state(work, name)
        return :open if all.find { |station| station.name == name }.open?(work)

        levels = work.checks_at(name).map(&:level)
        return :stopped if levels.include?(:stop)

        levels.include?(:warn) ? :warned : :done
      end
    end
  end
end
