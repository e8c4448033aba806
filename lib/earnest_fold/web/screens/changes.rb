# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # What was changed of a treatment, the last first.
      class Changes
        # One change in words: when, by whom, and what it changed.
        Changed = Reckoning::Value.define(:at, :by, :taken_back, :fields)

        attr_reader :sheet, :entry

        # @param changes [Array<Store::Records::Change>]
        def initialize(sheet, entry, changes)
          @sheet, @entry, @changes = sheet, entry, changes
        end

        def job = sheet.job

        def unit = sheet.unit

        def page_title = Words.say("changes.title", title: entry.title)

        def back = Paths.station(job.id, entry.id, "measure")

        # @return [Array<Changed>]
        def lines
          differences = Differences.new(sheet)
          @changes.map do |change|
            Changed.new(
              at: change.at,
              by: change.by,
              taken_back: change.taken_back,
              fields: differences.between(change.before, change.after)
            )
          end
        end
      end
    end
  end
end
