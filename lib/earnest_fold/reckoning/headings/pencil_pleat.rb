# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # A gathering tape drawn up by its cords. Its hooks are counted along the hung curtain, or by the tape's pockets:
    # one in every so many, the first and the last in the end ones.
    class PencilPleat < Value.define(
      :fullness,
      :top_turn,
      :hook_spacing,
      :pocket_pitch,
      :pockets_a_hook,
      *Taped::FIELDS.names,
      *Frilled::FIELDS.names,
      *HookRows::FIELDS.names
    )
      include Heading
      include Taped
      include Frilled
      include HookRows

      KIND = "pencil_pleat"
      FIELDS = Fields.new(
        fullness: Declare.fullness,
        top_turn: Declare.length(Length::ZERO),
        hook_spacing: Declare.pitch(Length.mm(80)),
        pocket_pitch: Declare.pitch(nil),
        pockets_a_hook: Declare.count(nil, least: 1, most: 1000),
        **Taped::FIELDS.declared,
        **Frilled::FIELDS.declared,
        **HookRows::FIELDS.declared
      )
      EXAMPLE = {
        "kind" => KIND,
        "fullness" => 2,
        "top_turn" => "4 cm",
        "tape_turn_in" => "3 cm",
        "hook_spacing" => "8 cm"
      }.freeze

      def self.tape = "corded"

      def drawn_as = :gathers

      def thin_below = 2r

      def corded? = true

      def made_by = super.merge(heading: put_on + %w[draw_up put_in_hooks])

      def figures(task, _support)
        tape = {tape_length: tape_length(task)}
        return tape.merge(hooks: (task.span.finished_width / hook_spacing).ceil + 1) unless by_pockets?

        pockets = [(task.flat / pocket_pitch).floor, 1].max
        tape.merge(hooks: Rational(pockets - 1, pockets_a_hook).ceil + 1, pockets: pockets)
      end

      def hooked_every = by_pockets? ? pockets_a_hook : nil

      def carriers(figures) = figures[:hooks]

      def marks(task, figures)
        Counting
          .evenly(figures[:hooks], task.span.finished_width)
          .map { |at| Mark.new(kind: :hook, along: :hung, at: at, to: nil) }
      end

      def working(task, figures)
        tape = tape_line(task)
        hooks = figures[:hooks]
        unless by_pockets?
          return [tape, Line.of(:hooks, hooks, [task.span.finished_width, "÷", hook_spacing, "↑", "+", 1])]
        end

        [
          tape,
          Line.of(:pockets, figures[:pockets], [task.flat, "÷", pocket_pitch, "↓"]),
          Line.of(:hooks, hooks, ["(", figures[:pockets], "−", 1, ")", "÷", pockets_a_hook, "↑", "+", 1])
        ]
      end

      private

      def by_pockets? = !pocket_pitch.nil? && !pockets_a_hook.nil?
    end

    Headings.register(PencilPleat::KIND, PencilPleat)
  end
end
