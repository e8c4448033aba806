# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # The Hanging station: what to carry, how high the support is, which edges lead, and what concerns people.
      class Hanging < Desk
        STATION = "hanging"

        # @return [Array<Array(String, Object)>] small parts to carry, counted
        def carried = reckoning ? R::Sundries.of(reckoning).except(:chain, :tape_length, :buckram_length).map { |name, count| [Words.say("sundries.#{name}"), count] } : []

        # @return [Array<Array(String, String)>] each curtain with the edge that leads
        def edges = reckoning.curtains.map { |curtain| [Words.hand(curtain.hand), Words.say("hanging.leads_#{curtain.leads}")] }

        # @return [Array<Array(String, Reckoning::Length)>] the lengths to check when it hangs
        def lengths
          treatment = reckoning.treatment
          [[Words.say("hanging.support"), treatment.support.length], [Words.say("work_figures.finished_drop"), reckoning.finished_drop], [Words.say("hanging.stand_up"), treatment.stand_up],
            *reckoning.curtains.map { |curtain| [Words.say("hanging.width_of", hand: Words.hand(curtain.hand).downcase), curtain.span.finished_width] }]
        end
      end
    end
  end
end
