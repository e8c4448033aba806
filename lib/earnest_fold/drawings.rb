# frozen_string_literal: true

module EarnestFold
  # Drawings to scale, in SVG, from core values and a unit: one file per drawing. They hold no rules of the trade;
  # what they show is what the core reckoned. Every drawing escapes its own text.
  module Drawings
    # @param heading [Reckoning::Heading]
    # @return [Class] the drawing by which it is shown
    # @raise [KeyError] for one that nobody draws
    #
    #   Drawings.of_heading(treatment.heading).name # => "EarnestFold::Drawings::Gathers"
    def self.of_heading(heading) = {heading_marks: HeadingMarks, gathers: Gathers}.fetch(heading.drawn_as)
  end
end
