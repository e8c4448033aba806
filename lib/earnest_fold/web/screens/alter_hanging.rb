# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # Hanging, for somebody's own curtain: how long it is to be, and what it was like when it came.
      class AlterHanging < Hanging
        include Altering

        def order = []

        def hands = made ? made.curtain.hands : []

        def carried = []

        def edges = made.curtain.hands.map { |hand| [Words.hand(hand), Words.say("alter.as_it_came")] }

        def lengths =
          [
            [Words.say("work_figures.length_at_last"), made.alteration.length_at_last],
            [Words.say("fields.wanted_length"), made.alteration.wanted_length],
            [Words.say("fields.stand_up"), made.alteration.stand_up]
          ]

        def hangs_by = [:length_at_last, made.alteration.length_at_last]

        def papers = {"slip.pdf" => "came_in.slip"}

        def not_yet = [Words.say("alter.not_yet"), "alter"]
      end
    end
  end
end
