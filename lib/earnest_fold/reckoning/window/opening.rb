# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # One curtain's place on the support, as "Finished width" in the rules gives it. `hand` is "left", "right",
    # "single" or "panel n"; `leads` is the side of its leading edge, :left or :right; `return_flat` (r) and
    # `lead_flat` (o) are the flat parts at its two edges. `expression` is how the finished width came about.
    Span = Value.define(:hand, :leads, :finished_width, :return_flat, :lead_flat, :expression) do
      # @param other [Span]
      # @return [Boolean] whether a curtain there measures the same, wherever it leads: a heading asks no more
      #
      #   treatment.spans.first.alike?(treatment.spans.last) # => true
      def alike?(other) =
        finished_width == other.finished_width && return_flat == other.return_flat && lead_flat == other.lead_flat
    end

    # The widths at the ends of a support that go into a finished width.
    Ends = Value.define(:return_left, :return_right, :overlap, :ease)

    # How the curtain draws. `split` counts for a pair, `cover` for a dress pair, `panels` for panels; else nil.
    class Opening < Value.define(:kind, :split, :cover, :panels)
      KINDS = %w[pair one_way_left one_way_right dress_pair panels].freeze
      FIELDS = Fields.new(
        kind: Declare.choice(KINDS, said: "openings"), split: Declare.number(1/2r, over: 0, under: 1),
        cover: Declare.length(nil, least: :over_zero), panels: Declare.count(nil, least: 2, most: 200)
      )

      # @param values [Hash] as FIELDS reads them
      # @param problems [Problems]
      # @return [Opening, nil]
      #
      #   Opening.build({kind: "pair", split: 1/2r, cover: nil, panels: nil}, Problems.new).curtains # => 2
      def self.build(values, problems)
        {"dress_pair" => :cover, "panels" => :panels}.each do |kind, needed|
          return problems.within(needed).add(:missing) if values[:kind] == kind && values[needed].nil?
        end
        new(**values)
      end

      # @param support [Support]
      # @param ends [Ends]
      # @return [Array<Span>] the curtains, as seen from the room from left to right
      #
      #   treatment.spans.map(&:finished_width) # => [1000 mm, 1000 mm]
      def spans(support, ends)
        case kind
        when "pair" then pair(support.length, ends)
        when "dress_pair" then dress_pair(ends)
        when "panels" then row_of_panels(support.length, ends)
        else [one_way(support.length, ends)]
        end
      end

      # @return [Integer] how many curtains there are
      #
      #   treatment.opening.curtains # => 2
      def curtains = {"pair" => 2, "dress_pair" => 2, "panels" => panels}.fetch(kind, 1)

      # @return [Boolean] two curtains that belong together as a left and a right
      #
      #   treatment.opening.pair? # => true
      def pair? = %w[pair dress_pair].include?(kind)

      private

      def pair(length, ends)
        half = ends.overlap / 2
        [
          ["left", :right, split, ends.return_left],
          ["right", :left, 1 - split, ends.return_right]
        ].map do |hand, leads, share, turn|
          shown = (share == 1 / 2r) ? [length, "÷", 2] : [length, "×", share]
          span(
            hand,
            leads,
            length * share + half + turn + ends.ease,
            turn,
            half,
            shown + plus(ends.overlap, "÷", 2) + plus(turn) + plus(ends.ease)
          )
        end
      end

      def dress_pair(ends)
        [["left", :right, ends.return_left], ["right", :left, ends.return_right]].map do |hand, leads, turn|
          span(hand, leads, cover + turn + ends.ease, turn, Length::ZERO, [cover] + plus(turn) + plus(ends.ease))
        end
      end

      def one_way(length, ends)
        turn, lead = ends.return_left, ends.return_right
        turn, lead = lead, turn if kind == "one_way_right"
        span("single", (kind == "one_way_left") ? :right : :left, length + turn + lead + ends.ease, turn, lead,
          [length] + plus(ends.return_left) + plus(ends.return_right) + plus(ends.ease))
      end

      def row_of_panels(length, ends)
        Array.new(panels) do |index|
          last = index == panels - 1
          turn = {0 => ends.return_left, panels - 1 => ends.return_right}.fetch(index, Length::ZERO)
          span("panel #{index + 1}", last ? :left : :right, length / panels + turn + ends.ease, turn, Length::ZERO,
            [length, "÷", panels] + plus(turn) + plus(ends.ease))
        end
      end

      def plus(length, *more) = length.zero? ? [] : ["+", length, *more]

      def span(hand, leads, width, turn, lead, expression)
        Span.new(
          hand: hand,
          leads: leads,
          finished_width: width,
          return_flat: turn,
          lead_flat: lead,
          expression: expression.freeze
        )
      end
    end
  end
end
