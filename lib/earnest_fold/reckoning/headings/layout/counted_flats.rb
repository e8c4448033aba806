# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # Headings whose count dictates the flat width: `step` counts lie between one that will do and the next,
    # `unit_width` of flat cloth goes with each.
    module CountedFlats
      # @return [Array<NearCount>] one below, the one used, one above
      #
      #   waved = headed("wave").curtains.first
      #   headed("wave").heading.near_counts(waved.task, waved.heading).map(&:count) # => [12, 14, 16]
      def near_counts(task, figures)
        chosen = counted(figures)
        [chosen - step, chosen, chosen + step].select { |count| count >= step }
          .map { |count| near_count(task, count, count == chosen) }
      end

      private

      def near_count(task, count, chosen)
        flat = unit_width * count
        fullness = can_be_thin? ? flat / task.span.finished_width : asked
        NearCount.new(count: count, chosen: chosen, flat: flat, fullness: fullness, detail: count_detail(count))
      end

      def count_detail(_count) = {}

      # Fullness that comes out at exactly this count.
      def fullness_for(count, span) = Fullness.ratio(unit_width * count / span.finished_width)
    end
  end
end
