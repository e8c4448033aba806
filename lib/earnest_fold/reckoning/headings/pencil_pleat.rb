# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # A gathering tape drawn up by its cords.
    class PencilPleat < Value.define(:fullness, :top_turn, :tape_turn_in, :hook_spacing, :tape_below)
      include Heading

      KIND = "pencil_pleat"
      FIELDS = Fields.new(
        fullness: Declare.fullness,
        top_turn: Declare.length(Length::ZERO),
        tape_turn_in: Declare.length(Length::ZERO),
        hook_spacing: Declare.length(Length.mm(80), least: :over_zero),
        tape_below: Declare.length(nil)
      )
      EXAMPLE = {
        "kind" => KIND,
        "fullness" => 2,
        "top_turn" => "4 cm",
        "tape_turn_in" => "3 cm",
        "hook_spacing" => "8 cm"
      }.freeze

      def drawn_as = :gathers

      def thin_below = 2r

      def corded? = true

      def taped? = true

      def made_by = super.merge(heading: %w[lay_tape sew_tape draw_up put_in_hooks])

      def figures(task, _support)
        {tape_length: task.flat + tape_turn_in * 2, hooks: (task.span.finished_width / hook_spacing).ceil + 1}
      end

      def carriers(figures) = figures[:hooks]

      def marks(task, figures)
        Counting
          .evenly(figures[:hooks], task.span.finished_width)
          .map { |at| Mark.new(kind: :hook, along: :hung, at: at, to: nil) }
      end

      def working(task, figures)
        [Line.of(:tape_length, figures[:tape_length], [task.flat, "+", 2, "×", tape_turn_in]),
          Line.of(:hooks, figures[:hooks], [task.span.finished_width, "÷", hook_spacing, "↑", "+", 1])]
      end
    end

    Headings.register(PencilPleat::KIND, PencilPleat)
  end
end
