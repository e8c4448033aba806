# frozen_string_literal: true

module EarnestFold
  module Web
    # The stations of a job, in the order of the work, and how far each treatment has come at them.
    module Stations
      NAMES = %w[measure heading cloth cutting making hanging].freeze
      # Where a check speaks; what isn't named here speaks at the cloth.
      CHECKS = {"readings_spread" => "measure", "carriers_short" => "heading", "fullness_thin" => "cloth"}.freeze
      # Which parts of a document must be readable for a station to be done.
      PLACES = {"measure" => %r{\A/(support|opening|drop|return|overlap|ease|site|wall|notes|name)}, "heading" => %r{\A/heading}, "cloth" => %r{\A/(face|making|lining|pattern|run)}}.freeze

      module_function

      # @param entry [JobSheet::Entry]
      # @return [Symbol] :done, :open, :warned or :stopped
      def state(station, entry) = entry.reckoned.once(:state, station, if station == "cutting"
                                    entry.made
                                  else
                                    ((station == "making") ? entry.done : 0)
                                  end) { reckon_state(station, entry) }

      def reckon_state(station, entry)
        return :open if open?(station, entry)

        levels = checks(station, entry).map(&:level)
        return :stopped if levels.include?(:stop)

        levels.include?(:warn) ? :warned : :done
      end

      # @return [Array<Reckoning::Check>] those that speak at the station
      def checks(station, entry)
        return [] unless entry.reckoning

        entry.reckoning.checks.select { |check| CHECKS.fetch(check.code, "cloth") == station }
      end

      # @return [Integer] how many stations are behind, one after the other
      def behind(entry) = NAMES.take_while { |station| %i[done warned].include?(state(station, entry)) }.size

      def open?(station, entry)
        return !entry.cut? if station == "cutting"
        return !entry.finished? if station == "making"
        return true if station == "hanging"
        return true if NAMES.index(station).positive? && open?(NAMES[NAMES.index(station) - 1], entry)

        entry.problems.any? { |problem| PLACES.fetch(station).match?(problem.at) }
      end
    end
  end
end
