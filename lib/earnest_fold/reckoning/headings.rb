# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # What a heading is asked about one curtain: its place, its flat width, its widths of cloth, and where its seams
    # lie.
    HeadingTask = Value.define(:span, :flat, :widths, :seams)

    # The contract of a heading kind, with what most of them answer alike. A kind is one file in headings/: a frozen
    # value that declares `KIND`, `FIELDS` and `EXAMPLE` and registers itself in {Headings}. It answers numbers and
    # geometry, never words or drawings.
    module Heading
      # @param values [Hash] as the kind's FIELDS read them
      # @param problems [Problems]
      # @return [Heading, nil] nil where its figures contradict each other
      def self.included(kind)
        kind.extend(Kind)
      end

      # What the class of a heading answers.
      module Kind
        def kind = self::KIND

        def fields = self::FIELDS

        def example = self::EXAMPLE

        def build(values, _problems) = new(**values)
      end

      def kind = self.class.kind

      # @param span [Span]
      # @return [Length] the flat width that the fullness asks for
      def needed(span) = span.finished_width * asked

      # @param span [Span]
      # @return [Array] how {#needed} came about
      def needed_expression(span) = [span.finished_width, "×", asked]

      # @return [Rational] the fullness asked
      def asked = fullness.ratio

      # @return [Boolean] whether what the tape dictates has to be reached and is kept to
      def dictates? = false

      # @return [Boolean] whether it is drawn up by cords
      def corded? = false

      # @return [Boolean] whether a tape is sewn on
      def taped? = false

      # @return [Boolean] whether the fullness made can fall short of the fullness asked
      def can_be_thin? = true

      # @param support [Support]
      # @return [Length] what the top takes of the cloth
      def top_allowance(_support) = top_turn

      # @param task [HeadingTask]
      # @return [Rational] the fullness made
      def made_fullness(task) = task.flat / task.span.finished_width

      # @return [Array] how {#made_fullness} came about
      def made_expression(task) = [task.flat, "÷", task.span.finished_width]

      # @param figures [Hash] as {#figures} gave them
      # @return [Integer, nil] how many carriers of the support the curtain takes; nil where none are counted
      def carriers(_figures) = nil

      # @param task [HeadingTask]
      # @param support [Support]
      # @return [Hash{Symbol => Length, Integer, nil}] the heading's own figures
      def figures(task, support) = raise(NotImplementedError)

      # @param task [HeadingTask]
      # @param figures [Hash]
      # @return [Array<Mark>] in order from the leading edge
      def marks(_task, _figures) = []

      # Where a tape, a cord or pleats dictate a count: the nearest counts below and above, with what each gives.
      # @param task [HeadingTask]
      # @param figures [Hash]
      # @return [Array<NearCount>] none where nothing is counted
      def near_counts(_task, _figures) = []

      # @param count [Integer] one of {#near_counts}
      # @param span [Span]
      # @return [Heading, nil] the same heading asked for that count; nil where a count can't be asked for
      def with_count(_count, _span) = nil

      # @param task [HeadingTask]
      # @param figures [Hash]
      # @return [Array<Line>] how the figures came about
      def working(_task, _figures) = []

      # @return [Boolean] whether it is drawn into pleats, flat between them, rather than into waves
      def pleated? = false

      # @return [Boolean] whether its folds are dressed by hand when it hangs, and have to set
      def dressed? = pleated?

      # @param task [HeadingTask]
      # @param figures [Hash]
      # @return [Integer] folds the curtain makes when it hangs, at least one
      def folds(task, _figures) = Folds.gathered(task.flat)

      # @param task [HeadingTask]
      # @param figures [Hash]
      # @return [Length] how far the folds reach from the line they hang on, about
      def fold_depth(task, figures) = Folds.depth(task.flat, task.span.finished_width, folds(task, figures))

      # @return [Symbol] :hook where it hangs from hooks or rings, :pole where it goes round the pole itself
      def bears_on = :hook

      # @param points [PointRules]
      # @param support [Support]
      # @return [Length, nil] how far the top edge stands above the hook's bearing point, or above the pole's upper
      #   side; nil where a figure is wanting
      def rise(points, _support) = points.hook_drop

      # Says what about this heading can't be reckoned.
      # @param support [Support]
      # @param problems [Problems] at the heading's place
      def refuse(_support, _problems) = nil
    end

    # The kinds of heading.
    Headings = Registry.new(:kind, :fields, :example, :build)
  end
end
