# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # Metal rings through the heading, set by a pitch near the one wished, or on a tape that fixes it.
    class Eyelet < Value.define(
      :fullness,
      :pitch,
      :tape_pitch,
      :top_turn,
      :eyelet_diameter,
      *Taped::FIELDS.names,
      *StiffenedTop::FIELDS.names
    )
      include Heading
      include Taped
      include StiffenedTop
      include CountedFlats

      KIND = "eyelet"
      CLEARANCE = Length.mm(10)
      LEAST = 4
      FIELDS = Fields.new(
        fullness: Declare.fullness,
        pitch: Declare.pitch(Length.mm(150)),
        tape_pitch: Declare.pitch(nil),
        top_turn: Declare.length(Length::ZERO),
        eyelet_diameter: Declare.length(nil, least: :over_zero),
        **Taped::FIELDS.declared,
        **StiffenedTop::FIELDS.declared
      )
      EXAMPLE = {
        "kind" => KIND,
        "fullness" => "1.8",
        "pitch" => "15 cm",
        "top_turn" => "10 cm",
        "eyelet_diameter" => "4 cm"
      }.freeze

      def self.tape = "eyelet"

      def self.tape_pitch = :tape_pitch

      def self.asks_of_support = %w[support.diameter]

      def thin_below = 8/5r

      def even_counted? = true

      def too_tight_for(diameter)
        least = diameter + CLEARANCE
        {eyelet: eyelet_diameter, least: least} if eyelet_diameter && eyelet_diameter < least
      end

      def dictates? = !tape_pitch.nil?

      def needed(span) = dictates? ? tape_pitch * count(super / tape_pitch) : super

      def needed_expression(span) =
        dictates? ? [count(span.finished_width * asked / tape_pitch), "×", tape_pitch] : super

      def bears_on = :pole

      def rise(points, _support) = points.eyelet_rise

      def taped? = dictates?

      # A tape stiffens the top already.
      #
      #   headed("eyelet").heading.stiffened&.layers # => nil
      def stiffened = taped? ? nil : super

      def made_by = super.merge(heading: taped? ? put_on + %w[set_eyelets] : %w[sew_top set_eyelets])

      def figures(task, _support)
        eyelets = count(task.flat / (tape_pitch || pitch))
        {eyelets: eyelets, pitch: task.flat / eyelets, first: task.flat / eyelets / 2, **tape(task)}
      end

      def dictated(figures) = figures.slice(:eyelets)

      # Even counts turn at the odd ones between.
      #
      #   headed("eyelet").heading.counted_from(headed("eyelet").curtains.first.task, nil) # => [(139/15)]
      def counted_from(task, _figures)
        wished = dictates? ? task.span.finished_width * asked / tape_pitch : task.flat / pitch
        [(wished + 1) / 2]
      end

      def marks(_task, figures)
        Array.new(figures[:eyelets]) do |index|
          Mark.new(kind: :eyelet, along: :flat, at: figures[:first] + figures[:pitch] * index, to: nil)
        end
      end

      def working(task, figures)
        [
          Line.of(
            :eyelets,
            figures[:eyelets],
            [task.flat, "÷", tape_pitch || pitch, "→", "2", "×", figures[:eyelets] / 2]
          ),
          Line.of(:eyelet_pitch, figures[:pitch], [task.flat, "÷", figures[:eyelets]]),
          Line.of(:first_eyelet, figures[:first], [figures[:pitch], "÷", 2]),
          *(taped? ? [tape_line(task)] : [])
        ]
      end

      def folds(_task, figures) = figures[:eyelets] / 2

      # Without a tape the count follows the flat width, and only the pitch moves.
      #
      #   headed("eyelet").heading.near_counts(headed("eyelet").curtains.first.task, nil) # => []
      def near_counts(task, figures) = dictates? ? super : []

      def with_count(count, span) = dictates? ? with(fullness: fullness_for(count, span)) : nil

      private

      def tape(task) = taped? ? {tape_length: tape_length(task)} : {}

      def step = 2

      def unit_width = tape_pitch

      def counted(figures) = figures[:eyelets]

      # Even, so that both edges turn to the wall.
      def count(wished) = [Counting.nearest_even(wished), LEAST].max
    end

    Headings.register(Eyelet::KIND, Eyelet)
  end
end
