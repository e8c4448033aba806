# frozen_string_literal: true

module EarnestFold
  module Work
    module Stations
      # Every width of it cut, each by its name.
      Cutting = Station.new(name: "cutting", place: 40, sorts: [Station::MADE], wanting: ->(work, _) { !work.cut? })
    end
  end
end
