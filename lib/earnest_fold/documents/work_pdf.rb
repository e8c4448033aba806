# frozen_string_literal: true

module EarnestFold
  module Documents
    # The order of work of one treatment or of a whole job on paper: each step with its figure, what to do, what to
    # mind, and a place for what was measured.
    class WorkPdf
      # One piece of work: its title, for each step [number and title, main figure, what to do], and a drawing where
      # there is one (SVG).
      Part = Reckoning::Value.define(:title, :about, :rows, :drawing)

      # @param title [String]
      # @param parts [Array<Part>]
      # @param unit [Reckoning::Unit]
      def initialize(title, parts, unit)
        @title, @parts, @unit = title, parts, unit
      end

      # @return [String] the file
      def render
        paper = Paper.new(
          Words.say("work_paper.title", title: @title),
          about: Words.say("cuts.figures_in", unit_name: Words.say("units.#{@unit.name}"))
        )
        @parts.each { |part| add(paper, part) }
        paper.render
      end

      private

      def add(paper, part)
        paper.list(
          part.title,
          %w[step figure do measured].map { |name| Words.say("work_paper.#{name}") },
          part.rows.map { |row| [*row, ""] },
          [125, 55, 250]
        ).note(part.about)
        paper.drawing("", part.drawing) if part.drawing
      end
    end
  end
end
