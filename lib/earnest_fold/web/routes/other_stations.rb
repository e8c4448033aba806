# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # The stations at which nothing is filled in, and which have no routes of their own.
      class OtherStations < Stations
        open_to Access::AT_JOB
        get Paths.station(*WORK, ":station"), :show, known_station: true
      end
    end
  end
end
