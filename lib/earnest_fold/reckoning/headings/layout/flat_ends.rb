# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # Headings whose return and overlap lie flat: only what hangs between them is pleated.
    module FlatEnds
      # @param span [Span]
      # @return [Length] the flat part at the return edge (r)
      #
      #   lined.heading.return_flat(lined.spans.first) # => 60 mm
      def return_flat(span) = span.return_flat

      # @param span [Span]
      # @return [Length] the flat part at the leading edge (o)
      #
      #   lined.heading.lead_flat(lined.spans.first) # => 40 mm
      def lead_flat(span) = span.lead_flat

      # @return [Length] both flat parts together
      #
      #   lined.heading.ends(lined.spans.first) # => 100 mm
      def ends(span) = return_flat(span) + lead_flat(span)

      # @return [Length] what is left between the flat parts, as it hangs
      #
      #   lined.heading.between(lined.spans.first) # => 900 mm
      def between(span) = span.finished_width - ends(span)

      # @param span [Span]
      # @return [Length] the flat width that the fullness asks for, its ends as they are
      #
      #   lined.heading.needed(lined.spans.first) # => 2170 mm
      def needed(span) = between(span) * asked + ends(span)

      # @param span [Span]
      # @return [Array] how {#needed} came about
      #
      #   lined.heading.needed_expression(lined.spans.first).last(2) # => ["+", 40 mm]
      def needed_expression(span)
        ["(", span.finished_width, *minus_ends(span), ")", "×", asked, *plus_ends(span)]
      end

      # Where nothing is left between the ends there is nothing to be full.
      #
      #   lined.heading.made_fullness(lined.reckon.curtains.first.task).round(2) # => (281/100)
      def made_fullness(task) = between(task.span).zero? ? 0r : (task.flat - ends(task.span)) / between(task.span)

      # @param task [HeadingTask]
      # @return [Array] how {#made_fullness} came about
      #
      #   lined.heading.made_expression(lined.curtains.first.task).first(2) # => ["(", 2630 mm]
      def made_expression(task)
        ["(", task.flat, *minus_ends(task.span), ")", "÷", "(", task.span.finished_width, *minus_ends(task.span), ")"]
      end

      private

      def flats(span) = [return_flat(span), lead_flat(span)].reject(&:zero?)

      def minus_ends(span) = flats(span).flat_map { |flat| ["−", flat] }

      def plus_ends(span) = flats(span).flat_map { |flat| ["+", flat] }
    end
  end
end
