# frozen_string_literal: true

module EarnestFold
  module Documents
    # The order of work of one treatment or of a whole job on paper: each step with its figure, what to do, what to
    # mind, and a place for what was measured.
    class WorkPdf
      # One piece of work: its title, what it is made of (label and figure), for each step [number and title, main
      # figure, what to do], and a sketch (SVG).
      Part = Reckoning::Value.define(:title, :about, :facts, :rows, :drawing)

      # Two facts stand side by side: label, figure, label, figure.
      FACTS = [130, 110, 130].freeze
      private_constant :FACTS

      # @param title [String]
      # @param parts [Array<Part>]
      # @param unit [Reckoning::Unit]
      def initialize(title, parts, unit)
        @title, @parts, @unit = title, parts, unit
      end

      # @return [String] the file
      #
      #   Documents::WorkPdf.new("Sluice House", [], Units::CM).render[0, 5] # => "%PDF-"
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
        paper.drawing(part.title, part.drawing) if part.drawing
        paper.list("", nil, part.facts.each_slice(2).map { |two| two.flatten(1) }, FACTS) unless part.facts.empty?
        paper.list(
          part.drawing ? "" : part.title,
          %w[step figure do measured].map { |name| Words.say("work_paper.#{name}") },
          part.rows.map { |row| [*row, ""] },
          [125, 55, 250]
        ).note(part.about)
      end
    end
  end
end
