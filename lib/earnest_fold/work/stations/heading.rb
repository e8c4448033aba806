# frozen_string_literal: true

module EarnestFold
  module Work
    module Stations
      # How the top is made.
      Heading = Station.new(name: "heading", place: 20, sorts: [Station::MADE])
    end
  end
end
