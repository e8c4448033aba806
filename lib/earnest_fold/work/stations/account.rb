# frozen_string_literal: true

module EarnestFold
  module Work
    module Stations
      # Asked for by an invoice.
      Account = Station.new(name: "account", place: 70, wanting: ->(work, _) { !work.invoiced })
    end
  end
end
