# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # Loops of ribbon, evenly from edge to edge.
    class RibbonLoop < Value.define(:fullness, :top_turn, :loop_spacing)
      include Heading

      KIND = "ribbon_loop"
      FIELDS = Fields.new(
        fullness: Declare.fullness,
        top_turn: Declare.length(Length::ZERO),
        loop_spacing: Declare.length(Length.mm(120), least: :over_zero)
      )
      EXAMPLE = {"kind" => KIND, "fullness" => "1.4", "top_turn" => "3 cm", "loop_spacing" => "12 cm"}.freeze

      def figures(task, _support) = {loops: [(task.flat / loop_spacing).round + 1, 2].max}

      def marks(task, figures)
        Counting.evenly(figures[:loops], task.flat).map { |at| Mark.new(kind: :ring, along: :flat, at: at, to: nil) }
      end

      def working(task, figures) = [Line.of(:loops, figures[:loops], [task.flat, "÷", loop_spacing])]
    end

    Headings.register(RibbonLoop::KIND, RibbonLoop)
  end
end
