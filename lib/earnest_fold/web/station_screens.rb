# frozen_string_literal: true

module EarnestFold
  module Web
    # Which screen shows which station, for what is made and for somebody's own curtain that is altered; the bench is a
    # page of Making. A station that has none here is shown by its fields ({Screens::Filled}).
    module StationScreens
      BY_SORT = {
        Work::Station::MADE => {
          "measure" => Screens::Measure,
          "heading" => Screens::Heading,
          "cloth" => Screens::Cloth,
          "cutting" => Screens::Cutting,
          "making" => Screens::Making,
          "bench" => Screens::Bench,
          "hanging" => Screens::Hanging
        },
        Work::Station::ALTERED => {
          "measure" => Screens::AlterMeasure,
          "alter" => Screens::Alter,
          "making" => Screens::AlterMaking,
          "bench" => Screens::AlterBench,
          "hanging" => Screens::AlterHanging
        }
      }.freeze
      # The account is the whole job's.
      ELSEWHERE = %w[account].freeze
      private_constant :BY_SORT, :ELSEWHERE

      module_function

      # @param station [String]
      # @param entry [Work::AtWork]
      # @return [Class]
      # @raise [Store::Missing] where such work has no such station
      def of(station, entry) =
        own(station, entry) || filled(station, entry) || raise(Store::Missing, "no station #{station} there")

      # @return [Class] the screen, or Measure's where such work has no such station
      def near(station, entry) = own(station.to_s, entry) || filled(station.to_s, entry) || own("measure", entry)

      # @api private
      def own(station, entry) = BY_SORT.fetch(entry.sort)[station]

      # @api private
      def filled(station, entry) =
        (entry.stations.include?(station) && !ELSEWHERE.include?(station)) ? Screens::Filled.at(station) : nil
    end
  end
end
