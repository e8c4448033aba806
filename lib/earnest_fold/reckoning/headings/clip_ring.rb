# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # Rings with clips, at both edges and evenly between; an even count, so that both edges turn the same way.
    class ClipRing < Value.define(:fullness, :top_turn, :clip_spacing, *StiffenedTop::FIELDS.names)
      include Heading
      include StiffenedTop

      KIND = "clip_ring"
      FIELDS = Fields.new(
        fullness: Declare.fullness,
        top_turn: Declare.length(Length::ZERO),
        clip_spacing: Declare.pitch,
        **StiffenedTop::FIELDS.declared
      )
      EXAMPLE = {"kind" => KIND, "fullness" => "1.5", "top_turn" => "5 cm", "clip_spacing" => "14 cm"}.freeze

      def thin_below = 5/4r

      def even_counted? = true

      def hangs_either_way? = true

      def made_by = super.merge(heading: %w[sew_top put_on_rings])

      def figures(task, _support) = {rings: [Counting.nearest_even(task.flat / clip_spacing + 1), 2].max}

      def carriers(figures) = figures[:rings]

      def marks(task, figures)
        Counting.evenly(figures[:rings], task.flat).map { |at| Mark.new(kind: :ring, along: :flat, at: at, to: nil) }
      end

      def folds(_task, figures) = [figures[:rings] - 1, 1].max

      def working(task, figures)
        in_twos = ["→", "2", "×", figures[:rings] / 2]
        [Line.of(:rings, figures[:rings], [task.flat, "÷", clip_spacing, "+", 1, *in_twos])]
      end
    end

    Headings.register(ClipRing::KIND, ClipRing)
  end
end
