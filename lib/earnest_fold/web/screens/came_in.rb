# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # What somebody's own curtains were like when they came in: noted by place on the drawing, with photographs.
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

        attr_reader :sheet, :entry, :notes, :photographs, :problem, :typed

        # @param sheet [Work::Job]
        # @param entry [Work::Alteration]
        # @param notes [Array<Store::CameIn::Note>]
        # @param photographs [Array<Store::CameIn::Photograph>]
        # @param problem [Symbol, nil] what stood in the way of a note or a photograph
        def initialize(sheet, entry, notes, photographs, problem: nil, typed: {})
          @sheet, @entry, @notes, @photographs, @problem, @typed = sheet, entry, notes, photographs, problem, typed
        end

        def job = sheet.job

        def unit = sheet.unit

        def page_title = Words.say("came_in.title", title: entry.title)

        # @return [String] a photograph in words
        def said_of(photograph) =
          photograph.words.empty? ? Words.say("came_in.photograph_of", title: entry.title) : photograph.words

        def path(to = "came-in") = "/jobs/#{job.id}/treatments/#{entry.id}/#{to}"

        # @return [Array<String>]
        def hands = entry.reckoning ? entry.reckoning.curtain.hands : %w[single]

        # @return [Array<Array(Integer, Store::CameIn::Note)>] with their numbers on the drawing, those struck too
        def numbered = notes.each_with_index.map { |note, index| [index + 1, note] }

        # @return [String] SVG
        def drawing = Drawings::Condition.new(hands, entry.reckoning, numbered.reject { |_, note| note.struck }).to_s

        def words(note) =
          [
            Words.say("came_in.sorts.#{note.sort}"),
            (Words.hand(note.curtain) if hands.size > 1 && !note.curtain.empty?),
            Words.say("came_in.places.#{place(note)}"),
            note.words
          ].compact.reject(&:empty?).join(", ")

        # @return [String] the nearest place that has a name
        def place(note) = PLACES.min_by { |_, (across, down)| (across - note.across)**2 + (down - note.down)**2 }.first
      end
    end
  end
end
