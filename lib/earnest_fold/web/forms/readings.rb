# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # The three places at which a drop is taken. The spec lists the readings that there are, and beside them where each was
      # taken, so that one left out moves no other.
      module Readings
        PLACES = %w[left middle right].freeze
        KIND = Reckoning::Drop::FIELDS.fetch(:readings).kind.kind

        module_function

        def path?(path) = path.start_with?("drop.readings.")

        def paths = PLACES.map { |place| "drop.readings.#{place}" }

        # @return [Hash{String => String}] by place
        def all(spec)
          drop = spec.fetch("drop", {})
          drop.fetch("taken_at", PLACES).zip(drop.fetch("readings", [])).to_h.compact
        end

        def at(spec, path) = all(spec)[path.split(".").last]

        # @return [Boolean] whether it is the only reading there is
        def last?(spec, path) = all(spec).keys == [path.split(".").last]

        def set(spec, path, value)
          readings = all(spec).merge(path.split(".").last => value).compact
          taken = PLACES.select { |place| readings.key?(place) }
          spec.merge("drop" => spec.fetch("drop", {}).merge("readings" => readings.values_at(*taken), "taken_at" => taken))
        end
      end
    end
  end
end
