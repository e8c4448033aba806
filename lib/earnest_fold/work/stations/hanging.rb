# frozen_string_literal: true

module EarnestFold
  module Work
    module Stations
      # Hung.
      Hanging = Station.new(name: "hanging", place: 60, wanting: ->(work, _) { !work.hung })
    end
  end
end
