# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # What the stations of somebody's own curtain have in common: their fields, their working and their remarks are
      # an alteration's.
      module Altering
        R = Reckoning

        # @return [Reckoning::AlterationOfJob, nil]
        def made = entry.reckoning

        # @return [nil] there is no treatment
        def treatment = nil

        def hardware = []

        def checks = entry.checks_at(station)

        def working = made ? made.alteration.working : []

        def colour = Store::Records::UNDYED

        def face = nil

        # @return [Field]
        def kinds = field("kind")

        # @return [Array<Store::CameIn::Note>] what was noted when the curtains came in
        def notes_made = @notes || []

        private

        def said_here = entry.said_at(station, sheet, noted: notes_made.any?)
      end
    end
  end
end
