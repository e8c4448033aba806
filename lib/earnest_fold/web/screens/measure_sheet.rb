# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # A blank sheet to print for the pencil.
      class MeasureSheet
        DOWN = %w[readings.left readings.middle readings.right measured_from measured_to stand_up offset].freeze
        PLACES = (ReadBack::ACROSS + DOWN.map { |name| "drop.#{name}" }).freeze

        def page_title = Words.say("measure_sheet.title")

        # @return [Array<String>] what is to be measured
        def lines = PLACES.map { |path| Words.field_label(path) }

        # @return [String] SVG: a window in likely proportions, everything still dashed
        def drawing
          zero = Reckoning::Length::ZERO
          Drawings::Elevation.new(
            Drawings::Elevation::Given.new(
              length: nil,
              readings: {},
              stand_up: zero,
              offset: zero,
              overlap: zero,
              shares: [[0, 0.5], [0.5, 1]],
              return_left: zero,
              return_right: zero,
              colour: "#ffffff",
              kind: "track",
              features: {},
              stacks: []
            ),
            says: Words.say("measure_sheet.title")
          ).to_s
        end
      end
    end
  end
end
