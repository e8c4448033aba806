# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Diary
      # How much of something (a bench, the people) is taken when: stretches of equal use, one after the other. It
      # changes while a diary is laid, and belongs to that laying alone.
      class Timeline
        # @param count [Integer] how many there are
        def initialize(count)
          @count = count
          # Where each stretch begins, and how many are taken in it; the last never ends.
          @begins, @taken = [0], [0]
        end

        # @param from [Integer]
        # @param minutes [Integer]
        # @return [Integer] the first moment from then on at which one is free for so long
        #
        #   Diary::Timeline.new(1).free(0, 30) # => 0
        def free(from, minutes)
          at = from
          index = stretch(at)
          while index < @begins.size && @begins[index] < at + minutes
            at = @begins[index + 1] if @taken[index] >= @count
            index += 1
          end
          at
        end

        # Takes one.
        #
        #   timeline = Diary::Timeline.new(1)
        #   timeline.take(0, 30)
        #   timeline.free(0, 30) # => 30
        def take(from, to)
          return if from == to

          first, last = cut(from), cut(to)
          (first...last).each { |index| @taken[index] += 1 }
          join(last)
          join(first)
        end

        private

        # The stretch in which a moment lies.
        def stretch(moment) = (@begins.bsearch_index { |begins| begins > moment } || @begins.size) - 1

        # Begins a stretch at a moment, where none does.
        def cut(moment)
          index = stretch(moment)
          return index if @begins[index] == moment

          @begins.insert(index + 1, moment)
          @taken.insert(index + 1, @taken[index])
          index + 1
        end

        # Two stretches of equal use become one.
        def join(index)
          return unless index.positive? && index < @begins.size && @taken[index] == @taken[index - 1]

          @begins.delete_at(index)
          @taken.delete_at(index)
        end
      end
    end
  end
end
