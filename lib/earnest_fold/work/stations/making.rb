# frozen_string_literal: true

module EarnestFold
  module Work
    module Stations
      # Every step of its order of work done.
      Making = Station.new(name: "making", place: 50, wanting: ->(work, _) { !work.finished? })
    end
  end
end
