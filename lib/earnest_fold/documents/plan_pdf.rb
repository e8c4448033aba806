# frozen_string_literal: true

module EarnestFold
  module Documents
    # A cloth's cutting plan on paper: each piece drawn to scale, its cuts listed with their running distances, what
    # is left over, and what there is no cloth for.
    class PlanPdf
      # One piece: its drawing, and for each cut what it is called and where it lies.
      OfPiece = Reckoning::Value.define(:title, :drawing, :cuts)
      # One cut, in words.
      Row = Reckoning::Value.define(:number, :name, :from, :to, :length, :done)

      # @param title [String]
      # @param unit [Reckoning::Unit]
      # @param pieces [Array<OfPiece>]
      # @param notes [Array<String>]
      # @param leftovers [Array<Array<String>>] what, piece, size, and what it makes
      def initialize(title, unit, pieces, notes: [], leftovers: [])
        @title, @unit, @pieces, @notes, @leftovers = title, unit, pieces, notes, leftovers
      end

      # @return [String] the file
      #
      #   Documents::PlanPdf.new("Sluice House", Units::CM, []).render[0, 5] # => "%PDF-"
      def render
        paper = Paper.new(@title, about: Words.say("cuts.figures_in", unit_name: Words.say("units.#{@unit.name}")))
        @notes.each { |note| paper.note(note) }
        @pieces.each do |piece|
          paper.drawing(piece.title, piece.drawing).table(
            "",
            words("number", "for", "from", "to", "length"),
            piece.cuts.map { |cut| line(cut) },
            right: [2, 3, 4]
          )
        end
        paper.table(
          Words.say("leftovers.title"),
          [Words.say("leftovers.what"), Words.say("shelf.piece"), Words.say("leftovers.size"),
            Words.say("leftovers.still")],
          @leftovers
        )
        paper.note(Words.say("cuts.keep_side")).render
      end

      private

      def words(*keys) = keys.map { |key| Words.say("cuts.#{key}") }

      def line(cut) =
        [
          cut.number.to_s,
          cut.done ? "#{cut.name} (#{Words.say("cuts.done")})" : cut.name,
          *[cut.from, cut.to, cut.length].map { |length| Words.length(length, @unit) }
        ]
    end
  end
end
