# frozen_string_literal: true

module EarnestFold
  module Web
    # The stations of a job, in the order of the work, and how far each treatment has come at them.
    module Stations
      NAMES = %w[measure heading cloth cutting making hanging account].freeze
      # Somebody's own curtain goes another way.
      ALTERING = %w[measure alter making hanging account].freeze
      # Where a check speaks; what isn't named here speaks at the cloth.
      CHECKS = {"readings_spread" => "measure", "carriers_short" => "heading", "fullness_thin" => "cloth"}.freeze
      # Which parts of a document must be readable for a station to be done.
      PLACES = {
        "measure" => %r{\A/(support|opening|drop|return|overlap|ease|site|wall|notes|name)},
        "heading" => %r{\A/heading},
        "cloth" => %r{\A/(face|making|lining|pattern|run)}
      }.freeze
      MEASURED = Regexp.new(
        "\\A/(existing_length|wanted_length|stand_up|curtains|width|widths|motif|band|" \
        "cloth_width|cloth_length|panel_width|finished_width)"
      )

      module_function

      # @param entry [Entry, AlteredEntry]
      # @return [Array<String>] its stations, in order
      def of(entry) = entry.alteration? ? ALTERING : NAMES

      # @param entry [Entry, AlteredEntry]
      # @return [Symbol] :done, :open, :warned or :stopped
      def state(station, entry) =
        entry.reckoned.once(:state, station, *depends(station, entry)) { reckon_state(station, entry) }

      # What a state depends on besides the figures.
      def depends(station, entry)
        case station
        when "cutting" then entry.made
        when "making" then entry.done
        when "hanging" then entry.hung
        when "account" then entry.invoiced
        end
      end

      def reckon_state(station, entry)
        return :open if open?(station, entry)

        levels = checks(station, entry).map(&:level)
        return :stopped if levels.include?(:stop)

        levels.include?(:warn) ? :warned : :done
      end

      # @return [Array<Reckoning::Check>] those that speak at the station
      def checks(station, entry)
        return (station == "alter") ? entry.checks : [] if entry.alteration?

        entry.checks.select { |check| CHECKS.fetch(check.code, "cloth") == station }
      end

      # @return [Integer] how many stations are behind, one after the other
      def behind(entry) = of(entry).take_while { |station| %i[done warned].include?(state(station, entry)) }.size

      # @return [String] where work goes on
      def following(entry) = of(entry)[behind(entry)] || of(entry).last

      def open?(station, entry)
        case station
        when "cutting" then !entry.cut?
        when "making" then !entry.finished?
        when "hanging" then !entry.hung
        when "account" then !entry.invoiced
        else unmeasured?(station, entry)
        end
      end

      # Whether anything is wanting here, or before.
      def unmeasured?(station, entry)
        if entry.alteration?
          return entry.problems.any? { |problem| (station == "alter") || MEASURED.match?(problem.at) }
        end
        return true if NAMES.index(station).positive? && open?(NAMES[NAMES.index(station) - 1], entry)

        entry.problems.any? { |problem| PLACES.fetch(station).match?(problem.at) }
      end
    end
  end
end
