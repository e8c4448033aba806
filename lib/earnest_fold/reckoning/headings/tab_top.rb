# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # Tabs over a pole, at both edges and evenly between.
    class TabTop < Value.define(
      :fullness,
      :top_turn,
      :tab_width,
      :tab_drop,
      :tab_spacing,
      *StiffenedTop::FIELDS.names
    )
      include Heading
      include StiffenedTop

      KIND = "tab_top"
      FIELDS = Fields.new(
        fullness: Declare.fullness,
        top_turn: Declare.length(Length::ZERO),
        tab_width: Declare.length(least: :over_zero),
        tab_drop: Declare.length,
        tab_spacing: Declare.pitch,
        **StiffenedTop::FIELDS.declared
      )
      EXAMPLE = {
        "kind" => KIND,
        "fullness" => "1.5",
        "top_turn" => "1.5 cm",
        "tab_width" => "5 cm",
        "tab_drop" => "5 cm",
        "tab_spacing" => "16 cm"
      }.freeze

      def self.asks_of_support = %w[support.diameter]

      def thin_below = 5/4r

      # As many tabs as the layout counts.
      #
      #   headed("tab_top").heading.tabs(headed("tab_top").curtains.map(&:heading))[:count] # => 36
      def tabs(figures) =
        {drop: tab_drop, tab_width: tab_width, count: figures.sum { |counted| counted.fetch(:tabs) }}

      def bears_on = :pole

      # The top edge hangs below the pole by the tabs' drop.
      #
      #   made = headed("tab_top")
      #   made.heading.rise(made.drop.points, made.support) # => -78 mm
      def rise(_points, support) = support.diameter && -(support.diameter + tab_drop)

      def made_by = super.merge(heading: %w[make_tabs set_tabs])

      def figures(task, _support) = {tabs: [((task.flat - tab_width) / tab_spacing).ceil, 0].max + 1}

      def marks(task, figures)
        Counting
          .evenly(figures[:tabs], task.flat - tab_width)
          .map { |at| Mark.new(kind: :tab, along: :flat, at: at, to: at + tab_width) }
      end

      def folds(_task, figures) = [figures[:tabs] - 1, 1].max

      def working(task, figures)
        [Line.of(:tabs, figures[:tabs], ["(", task.flat, "−", tab_width, ")", "÷", tab_spacing, "↑", "+", 1])]
      end
    end

    Headings.register(TabTop::KIND, TabTop)
  end
end
