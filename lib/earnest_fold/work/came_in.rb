# frozen_string_literal: true

module EarnestFold
  module Work
    # What somebody's own curtains were like when they came in: what was noted, by place.
    class CameIn
      # Where on a curtain, in thousandths of its width and its length.
      PLACES = {
        "top_left" => [120, 60],
        "top_middle" => [500, 60],
        "top_right" => [880, 60],
        "left" => [80, 500],
        "middle" => [500, 500],
        "right" => [920, 500],
        "hem_left" => [120, 940],
        "hem_middle" => [500, 940],
        "hem_right" => [880, 940]
      }.freeze

      attr_reader :work, :notes

      # @param work [Alteration]
      # @param notes [Array<Store::CameIn::Note>]
      def initialize(work, notes)
        @work, @notes = work, notes
      end

      # @return [Array<String>] the curtains there are; one, before anything is said of them
      #
      #   came_in.hands # => ["single"]
      def hands = work.hands

      # @return [Array<Array(Integer, Store::CameIn::Note)>] with their numbers on the drawing, those struck too
      #
      #   came_in.numbered.map(&:first) # => [1]
      def numbered = notes.each_with_index.map { |note, index| [index + 1, note] }

      # @return [Array<Array(Integer, Store::CameIn::Note)>] those that still stand
      #
      #   came_in.standing.size # => 1
      def standing = numbered.reject { |_, note| note.struck }

      # @param note [Store::CameIn::Note]
      # @return [String] the nearest place that has a name
      #
      #   Work::CameIn.place(mark_seen) # => "hem_middle"
      def self.place(note) =
        PLACES.min_by { |_, (across, down)| (across - note.across)**2 + (down - note.down)**2 }.first

      # @param note [Store::CameIn::Note]
      # @return [Array<Told, String>] what was noted, on which curtain where there are several, where, and in words
      #
      #   came_in.said(mark_seen).last # => "at the fold"
      def said(note)
        curtain = (hands.size > 1 && !note.curtain.empty?) ? [Told.hand(note.curtain)] : []
        [Told.of("came_in.sorts.#{note.sort}"), *curtain, Told.of("came_in.places.#{CameIn.place(note)}"), note.words]
      end
    end
  end
end
