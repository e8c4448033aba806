# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # A rod through a pocket, with or without a frill standing above it.
    class RodPocket < Value.define(:fullness, :frill, :pocket, :turn_under)
      include Heading

      KIND = "rod_pocket"
      LOOSENESS = Length.mm(10)
      POCKET_STEP = Length.mm(5)
      FIELDS = Fields.new(
        fullness: Declare.fullness,
        frill: Declare.length(Length::ZERO),
        pocket: Declare.length(nil, least: :over_zero),
        turn_under: Declare.length(Length::ZERO)
      )
      EXAMPLE = {
        "kind" => KIND,
        "fullness" => "2.5",
        "frill" => "2 cm",
        "pocket" => "4 cm",
        "turn_under" => "1.5 cm"
      }.freeze

      def self.asks_of_support = %w[support.diameter]

      def thin_below = 9/5r

      def top_allowance(support) = frill + depth(support) + turn_under

      def bears_on = :pole

      # The frill stands on the rod.
      #
      #   made = headed("rod_pocket")
      #   made.heading.rise(made.drop.points, made.support) # => 20 mm
      def rise(_points, _support) = frill

      def hangs_either_way? = true

      def made_by = super.merge(heading: %w[sew_pocket thread_rod])

      def usual_method = "unlined_sides_first"

      def hem_last? = true

      def top_lines(support) =
        turn_under.positive? ? [turn_under, top_allowance(support)] : super

      def figures(_task, support) = {pocket: depth(support)}

      def marks(task, _figures) = [Mark.new(kind: :pocket, along: :flat, at: Length::ZERO, to: task.flat)]

      def working(_task, figures) = [Line.of(:pocket, figures[:pocket])]

      def refuse(support, problems)
        problems.within(:pocket).add(:pocket_without_rod) if pocket.nil? && support.diameter.nil?
      end

      private

      # Half the rod's girth and a little, where nobody has given a depth.
      def depth(support) = pocket || (support.diameter * Counting::PI / 2 + LOOSENESS).ceil_to(POCKET_STEP)
    end

    Headings.register(RodPocket::KIND, RodPocket)
  end
end
