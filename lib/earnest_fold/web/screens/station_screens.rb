# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # Which screen shows which station, for what is made and for a curtain that is altered; the bench is a
      # page of Making. A station that has none here is shown by its fields ({Filled}).
      module StationScreens
        BY_SORT = {
          Work::Station::MADE => {
            "measure" => Measure,
            "heading" => Heading,
            "cloth" => Cloth,
            "cutting" => Cutting,
            "making" => Making,
            "bench" => Bench,
            "hanging" => Hanging
          },
          Work::Station::ALTERED => {
            "measure" => AlterMeasure,
            "alter" => Alter,
            "making" => AlterMaking,
            "bench" => AlterBench,
            "hanging" => AlterHanging
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
          (entry.stations.include?(station) && !ELSEWHERE.include?(station)) ? Filled.at(station) : nil
      end
    end
  end
end
