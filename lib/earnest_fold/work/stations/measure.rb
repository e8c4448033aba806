# frozen_string_literal: true

module EarnestFold
  module Work
    module Stations
      # Where it hangs and what is wanted, as measured.
      Measure = Station.new(name: "measure", place: 10)
    end
  end
end
