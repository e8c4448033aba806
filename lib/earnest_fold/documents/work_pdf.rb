# frozen_string_literal: true

module EarnestFold
  module Documents
    # The order of work of one treatment or of a whole job on paper: each step with its figure, what to do, what to mind, and a place
    # for what was measured.
    class WorkPdf
      # One treatment: its title, and for each step [number and title, main figure, what to do].
      Part = Reckoning::Value.define(:title, :about, :rows)

      # @param title [String]
      # @param parts [Array<Part>]
      # @param unit [Reckoning::Unit]
      def initialize(title, parts, unit)
        @title, @parts, @unit = title, parts, unit
      end

      # @return [String] the file
      def render
        paper = Paper.new(Words.say("work_paper.title", title: @title), about: Words.say("cuts.figures_in", unit_name: Words.say("units.#{@unit.name}")))
        @parts.each { |part| paper.list(part.title, %w[step figure do measured].map { |name| Words.say("work_paper.#{name}") }, part.rows.map { |row| [*row, ""] }, [125, 55, 250]).note(part.about) }
        paper.render
      end
    end
  end
end
