# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # A panel stiffened with buckram and left flat: eyelets or pleats may come later. It is as wide as it was asked for,
    # and nothing hangs it yet.
    class BuckramPanel < Value.define(:fullness, :buckram, :buckram_folds)
      include Heading

      KIND = "buckram_panel"
      FIELDS = Fields.new(
        fullness: Declare.fullness,
        buckram: Declare.length,
        buckram_folds: Declare.count(2, least: 1, most: 4)
      )
      EXAMPLE = {"kind" => KIND, "fullness" => 1, "buckram" => "10 cm", "buckram_folds" => 2}.freeze

      def self.asks_of_support = []

      # Rolled in, its depth is taken once a fold.
      #
      #   made = headed("buckram_panel")
      #   made.heading.top_allowance(made.support) # => 200 mm
      def top_allowance(_support) = buckram * buckram_folds

      def top_lines(_support) = Array.new(buckram_folds) { |index| buckram * (index + 1) }

      def fused? = true

      def usual_method = "pressed_sewn_last"

      def made_by = super.merge(top: %w[put_in_buckram turn_top], heading: [])

      def figures(task, _support) = {buckram_length: task.flat}

      # The buckram, from edge to edge.
      #
      #   made = headed("buckram_panel").reckon.curtains.first
      #   headed("buckram_panel").heading.marks(made.task, made.heading).first.to # => 1280 mm
      def marks(task, _figures) = [Mark.new(kind: :buckram, along: :flat, at: Length::ZERO, to: task.flat)]

      def working(task, figures) = [Line.of(:buckram_length, figures[:buckram_length], [task.flat])]
    end

    Headings.register(BuckramPanel::KIND, BuckramPanel)
  end
end
