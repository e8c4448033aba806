# frozen_string_literal: true

module EarnestFold
  module Documents
    # The hanging sheet: what to carry, the lengths to check, which edges lead, what to mind, and a place for what was
    # measured when it hung.
    class HangingPdf
      # @param title [String]
      # @param tables [Array<Array(String, Array<Array<String>>)>] heading and rows of two cells
      # @param cautions [Array<String>]
      # @param checks [Array<String>] what is measured when it hangs
      # @param wall [String, nil] SVG: the windows as they will hang
      def initialize(title, tables, cautions:, checks:, wall: nil)
        @title, @tables, @cautions, @checks, @wall = title, tables, cautions, checks, wall
      end

      # @return [String] the file
      #
      #   Documents::HangingPdf.new("Sluice House", [], cautions: [], checks: []).render[0, 5] # => "%PDF-"
      def render
        paper = Paper.new(Words.say("hanging.sheet", title: @title))
        paper.drawing(Words.say("hanging.on_the_wall"), @wall) if @wall
        @tables.each { |heading, rows| paper.table(heading, ["", ""], rows, right: [1]) }
        paper.table(
          Words.say("hanging.mind"),
          ["", Words.say("hanging.ticked")],
          @cautions.map { |words| [words, ""] },
          widths: {1 => 60}
        )
        paper.table(
          Words.say("hanging.final"),
          ["", Words.say("making.measured")],
          @checks.map { |words| [words, ""] },
          widths: {1 => 90}
        ).render
      end
    end
  end
end
