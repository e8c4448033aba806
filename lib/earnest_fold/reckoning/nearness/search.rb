# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Nearness
      # Looks for the nearest step at which the answer is another: nowhere, if nothing is decided otherwise as far as is
      # looked; else it parts the way where the next whole number is guessed, and after some guesses in the middle.
      # @api private
      class Search
        # So often is it guessed at before halving.
        GUESSES = 6
        private_constant :GUESSES

        # @param now [Outcome]
        # @param figure [Figure]
        # @param laid [Hash]
        # @param way [Integer] −1 or 1
        # @param ordered [Boolean] whether another length to order is another answer too
        def initialize(now, figure, laid, way, ordered: true)
          @now, @figure, @laid, @way, @ordered = now, figure, laid, way, ordered
          @outcomes, @parted = {0 => now}, 0
        end

        # @param reach [Integer] steps
        # @return [Edge, nil] nil where there is none
        def edge(reach)
          found = change(0, reach) unless reach.zero?
          found && at(found)
        end

        private

        # @param from [Integer] where the answer is as it is
        # @return [Integer, nil] the first step after that, up to `to`, that gives another
        def change(from, to)
          one, two = outcome(from), outcome(to)
          return (to if other?(two)) if to == from + 1
          return if two && one.alike_up_to?(two, @ordered)

          middle = between(from, to)
          change(from, middle) || change(middle, to)
        end

        # The last step before what is rounded comes to a whole number, told by how it changes all the way there. That
        # was a bad guess where it is asked again: from then on it is told by how it changes at the next step.
        def between(from, to)
          @parted += 1
          return (from + to) / 2 if @parted > GUESSES

          there = (@parted == 1) ? to : from + 1
          whole = steps_to_whole(from, outcome(there) ? there : from + 1)
          (whole && from + whole <= to) ? [from + whole - 1, from + 1].max : an_end(from, to)
        end

        # What is decided otherwise without a whole number is so at an end, as a figure comes to nothing there, or no
        # longer is nothing.
        def an_end(from, to) = @parted.odd? ? to - 1 : from + 1

        def steps_to_whole(from, there)
          return unless outcome(there)

          outcome(from).rounded(outcome(there), @ordered)
            .filter_map { |one, two| to_whole(one, (two - one) / (there - from)) }.min
        end

        # An amount on a whole number keeps it going down to it, and loses it going up.
        def to_whole(here, slope)
          return if slope.zero?

          slope.positive? ? ((here.ceil - here) / slope).floor + 1 : ((here.ceil - 1 - here) / slope).ceil
        end

        def other?(outcome) = outcome.nil? || !outcome.same?(@now, @ordered)

        def outcome(step) = @outcomes.fetch(step) { @outcomes[step] = reckoned(step * @way) }

        def reckoned(steps)
          known = @figure.moves_drop? ? @laid : {}
          known.fetch([:drop, @figure.step * steps]) do |far|
            known[far] = Outcome.of(@figure.moved(@now.treatment, steps), @laid)
          end
        end

        def at(step)
          start = @figure.at(@now.treatment)
          Edge.new(
            last: start + @figure.step * (step - 1) * @way,
            beyond: start + @figure.step * step * @way,
            apart: @figure.step * step,
            outcome: outcome(step)
          )
        end
      end
    end
  end
end
