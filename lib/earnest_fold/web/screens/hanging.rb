# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # The Hanging station: what to carry, how high the support is, which edges lead, and what concerns people.
      class Hanging < Desk
        include SeeingTo

        STATION = "hanging"

        # @param log [BenchLog]
        def initialize(sheet, entry, log: BenchLog.new([]), **shown)
          super(sheet, entry, **shown)
          @log = log
        end

        # @return [Array<Entry>] the layers of the window in the order in which they are hung: from the glass to the room
        def order = sheet.layers(entry)

        # @return [Hash{String => String}] files, and the words for each
        def papers = {"hanging-sheet.pdf" => "making_papers.hanging", "tags.pdf" => "making_papers.tags"}

        # @return [Array(String, String)] why there is nothing to hang yet, and the station where that is mended
        def not_yet = [Words.say("hanging.not_yet"), "cloth"]

        # @return [Array<Array(String, Object)>] small parts to carry, counted
        def carried = reckoning ? R::Sundries.of(reckoning).except(:chain, :tape_length, :buckram_length).map { |name, count| [Words.say("sundries.#{name}"), count] } : []

        # @return [Array<Array(String, String)>] each curtain with the edge that leads
        def edges = reckoning.curtains.map { |curtain| [Words.hand(curtain.hand), Words.say("hanging.leads_#{curtain.leads}")] }

        # @return [Array<Array(String, Reckoning::Length)>] the lengths to check when it hangs
        def lengths
          treatment = reckoning.treatment
          [[Words.say("hanging.support"), treatment.support.length], [Words.say("hanging.height"), treatment.drop.readings.min], [Words.say("work_figures.finished_drop"), reckoning.finished_drop], [Words.say("hanging.stand_up"), treatment.stand_up],
            *clearance, *reckoning.curtains.map { |curtain| [Words.say("hanging.width_of", hand: Words.hand(curtain.hand).downcase), curtain.span.finished_width] }]
        end

        private

        # How far it is to end above what the drop was measured to, or to lie on it.
        def clearance
          offset = reckoning.treatment.drop.offset
          if offset.zero?
            []
          else
            [[Words.say(offset.negative? ? "hanging.clears" : "hanging.lies_on"), offset.abs]]
          end
        end
      end
    end
  end
end
