# frozen_string_literal: true

module EarnestFold
  module Documents
    # The slip for somebody's own curtains: what is to be done, what they were like when they came in, the
    # photographs, and a line for the customer's name.
    class SlipPdf
      # @param wanted [Array<Array(String, String)>] what is to be done
      # @param drawing [String] SVG
      # @param notes [Array<Array(String, String)>] number, words
      # @param images [Array<Array(String, String)>] JPEG, words
      def initialize(title:, house:, wanted:, drawing:, notes:, images:)
        @title, @house, @wanted, @drawing, @notes, @images = title, house, wanted, drawing, notes, images
      end

      # @return [String] the file
      def render
        paper = Paper.new(@title, about: @house)
        paper.list(Words.say("slip.wanted"), ["", ""], @wanted, [170])
        paper.drawing(Words.say("slip.condition"), @drawing)
        if @notes.empty?
          paper.note(Words.say("slip.nothing_noted"))
        else
          paper.list("", [Words.say("slip.number"), Words.say("slip.noted")], @notes, [40])
        end
        paper.images(@images)
        paper.note(Words.say("slip.agree")).note(Words.say("slip.sign"))
        paper.render
      end
    end
  end
end
