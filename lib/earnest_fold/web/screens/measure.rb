# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # The Measure station: the window's elevation with its fields round it.
      class Measure < Desk
        STATION = "measure"
        KINDS = %w[pair one_way_left one_way_right].freeze

        def self.paths(_spec)
          %w[support.kind support.length opening.kind return_left return_right overlap ease drop.stand_up drop.offset] + Forms::Readings.paths
        end

        def supports = field("support.kind", options: options(R::Support::KINDS, "supports"))

        def openings = field("opening.kind", options: options(KINDS, "openings"))

        def readings = Forms::Readings.paths.map { |path| field(path) }

        # @return [String] SVG
        def drawing = Drawings::Elevation.new(measured, says: says).to_s

        private

        def options(words, key) = words.to_h { |word| [word, Words.say("#{key}.#{word}")] }

        def measured
          Drawings::Elevation::Measured.new(length: length("support.length"), readings: reading_lengths, stand_up: length("drop.stand_up") || R::Length::ZERO,
            offset: length("drop.offset") || R::Length::ZERO, overlap: length("overlap") || R::Length::ZERO, return_left: length("return_left") || R::Length::ZERO,
            return_right: length("return_right") || R::Length::ZERO, shares: (spec.dig("opening", "kind") == "pair") ? [[0, 0.5], [0.5, 1]] : [[0, 1]],
            colour: colour, kind: spec.dig("support", "kind"))
        end

        def length(path) = (stored = Forms::SpecFields.stored(path, spec)) && R::LengthReader.read(stored, unit)

        def reading_lengths = Forms::Readings.all(spec).transform_values { |stored| R::LengthReader.read(stored, unit) }

        def says
          readings = reading_lengths.map { |place, length| "#{Words.say("fields.drop_readings_#{place}").downcase} #{Words.with_unit(length, unit)}" }
          Words.say("drawings.elevation", support: length("support.length") || Words.say("drawings.not_measured"),
            readings: readings.empty? ? Words.say("drawings.not_measured") : readings.join(", "), unit: unit)
        end
      end
    end
  end
end
