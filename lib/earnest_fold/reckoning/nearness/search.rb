# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Nearness
      # Looks for the nearest step at which the answer is another: at a good guess first, then in ever further strides,
      # halving within the one in which something was decided otherwise.
      class Search
        # How much further each stride is than the one before.
        GROWTH = 4
        # How many places are guessed at.
        GUESSES = 3
        private_constant :GROWTH, :GUESSES

        # @param now [Outcome]
        # @param figure [Figure]
        # @param laid [Hash]
        # @param way [Integer] −1 or 1
        # @param ordered [Boolean] whether another length to order is another answer too
        def initialize(now, figure, laid, way, ordered: true)
          @now, @figure, @laid, @way, @ordered = now, figure, laid, way, ordered
          @outcomes = {0 => now}
        end

        # @param reach [Integer] steps
        # @return [Edge, nil] nil where there is none
        def edge(reach)
          return if reach.zero?
          return if outcome(reach)&.then { |far| @now.alike_up_to?(far, @ordered) }

          found = guessed(reach) || strode(reach)
          found && at(found)
        end

        private

        # Where the first of what is rounded comes to a whole number, if nothing changes before and something there.
        def guessed(reach)
          next_one = outcome(1) or return 1
          amounts = @now.amounts(@ordered).zip(next_one.amounts(@ordered))
          steps = amounts.filter_map { |here, there| steps_to_whole(here, there - here) }
          step = steps.uniq.sort.first(GUESSES).find { |count| count <= reach && other?(outcome(count)) } or return
          step if outcome(step - 1)&.then { |last| last.equal?(@now) || @now.alike_up_to?(last, @ordered) }
        end

        # An amount on a whole number keeps it going down to it, and loses it going up.
        def steps_to_whole(here, slope)
          return if slope.zero?

          slope.positive? ? ((here.ceil - here) / slope).floor + 1 : ((here.ceil - 1 - here) / slope).ceil
        end

        def strode(reach)
          from, stride = 0, 1
          while from < reach
            to = [from + stride, reach].min
            found = change(from, to)
            return found if found
            from, stride = to, stride * GROWTH
          end
        end

        # @return [Integer, nil] the first step after `from`, up to `to`, that gives another answer
        def change(from, to)
          one, two = outcome(from), outcome(to)
          return (to if other?(two)) if to == from + 1
          return if one && two && one.alike_up_to?(two, @ordered)

          middle = (from + to) / 2
          change(from, middle) || change(middle, to)
        end

        def other?(outcome) = outcome.nil? || !outcome.same?(@now, @ordered)

        def outcome(step) =
          @outcomes.fetch(step) { @outcomes[step] = Outcome.of(@figure.moved(@now.treatment, step * @way), @laid) }

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
