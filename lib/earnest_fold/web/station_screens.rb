# frozen_string_literal: true

module EarnestFold
  module Web
    # Which screen shows which station, for what is made and for somebody's own curtain that is altered.
    module StationScreens
      MAKING = {
        "measure" => Screens::Measure,
        "heading" => Screens::Heading,
        "cloth" => Screens::Cloth,
        "cutting" => Screens::Cutting,
        "making" => Screens::Making,
        "bench" => Screens::Bench,
        "hanging" => Screens::Hanging
      }.freeze
      ALTERING = {
        "measure" => Screens::AlterMeasure,
        "alter" => Screens::Alter,
        "making" => Screens::AlterMaking,
        "bench" => Screens::AlterBench,
        "hanging" => Screens::AlterHanging
      }.freeze
      SORTS = {Work::Treatment => MAKING, Work::Alteration => ALTERING}.freeze
      NAMES = (MAKING.keys | ALTERING.keys).freeze
      # Where fields are filled in.
      FILLED = %w[measure heading cloth alter].freeze

      module_function

      # @param station [String]
      # @param entry [Work::Treatment, Work::Alteration]
      # @return [Class]
      # @raise [Store::Missing] where such work has no such station
      def of(station, entry) =
        of_sort(entry).fetch(station) { raise Store::Missing, "no station #{station} there" }

      # @api private
      def of_sort(entry) = SORTS.fetch(entry.class)

      # @return [Class] the screen, or Measure's where such work has no such station
      def near(station, entry) = of_sort(entry).fetch(station.to_s) { of("measure", entry) }
    end
  end
end
