# frozen_string_literal: true

module EarnestFold
  module Work
    module Stations
      # Of which cloth, in how many widths, with which allowances.
      Cloth = Station.new(name: "cloth", place: 30, sorts: [Station::MADE])
    end
  end
end
