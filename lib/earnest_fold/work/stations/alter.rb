# frozen_string_literal: true

module EarnestFold
  module Work
    module Stations
      # What is done to somebody's own curtain.
      Alter = Station.new(name: "alter", place: 35, sorts: [Station::ALTERED])
    end
  end
end
