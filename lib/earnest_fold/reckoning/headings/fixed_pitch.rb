# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # A tape with a hook at every pitch and one at each very end: the width must be whole pitches.
    class FixedPitch < Value.define(
      :fullness,
      :pitch,
      :top_turn,
      *Taped::FIELDS.names,
      *Frilled::FIELDS.names,
      *HookRows::FIELDS.names
    )
      include Heading
      include Taped
      include Frilled
      include HookRows
      include CountedFlats

      KIND = "fixed_pitch"
      FIELDS = Fields.new(
        fullness: Declare.fullness,
        pitch: Declare.pitch,
        top_turn: Declare.length(Length::ZERO),
        **Taped::FIELDS.declared,
        **Frilled::FIELDS.declared,
        **HookRows::FIELDS.declared
      )
      EXAMPLE = {"kind" => KIND, "fullness" => 3, "pitch" => "10 cm", "top_turn" => "7 cm"}.freeze

      def self.tape = "fixed_pitch"

      def self.tape_pitch = :pitch

      def pitch_to_the_ends = pitch

      def dictates? = true

      def needed(span) = pitch * pitches(span)

      def needed_expression(span) = [pitches(span), "×", pitch]

      def ends_on_stops? = true

      def made_by = super.merge(heading: put_on + %w[put_in_hooks])

      def figures(task, _support)
        count = pitches(task.span)
        {hooks: count + 1, carriers: count - 1, pitch: pitch, tape_length: tape_length(task)}
      end

      def dictated(figures) = figures.slice(:hooks)

      def counted_from(task, _figures) = [wished(task.span) + 1/2r]

      def carriers(figures) = figures[:carriers]

      def marks(_task, figures)
        Array.new(figures[:hooks]) { |index| Mark.new(kind: :hook, along: :flat, at: pitch * index, to: nil) }
      end

      def working(task, figures)
        [Line.of(:pitches, figures[:hooks] - 1, [task.span.finished_width, "×", asked, "÷", pitch, "↕"]),
          Line.of(:hooks, figures[:hooks], [figures[:hooks] - 1, "+", 1]),
          Line.of(:carriers, figures[:carriers], [figures[:hooks], "−", 2]),
          tape_line(task)]
      end

      def folds(_task, figures) = [figures[:hooks] - 1, 1].max

      def with_count(count, span) = with(fullness: fullness_for(count, span))

      private

      def step = 1

      def unit_width = pitch

      def counted(figures) = figures[:hooks] - 1

      def count_detail(count) = {hooks: count + 1}

      def pitches(span) = [Counting.nearest(wished(span)), 1].max

      def wished(span) = span.finished_width * asked / pitch
    end

    Headings.register(FixedPitch::KIND, FixedPitch)
  end
end
