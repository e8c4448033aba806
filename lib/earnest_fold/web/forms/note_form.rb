# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # Something noted of curtains as they came in: what, on which curtain, where, and in words.
      class NoteForm
        LONGEST = 200
        attr_reader :typed

        # @param hands [Array<String>] of the curtains there are
        # @param params [Hash]
        def initialize(hands, params)
          @hands = hands
          @typed = %w[sort curtain place across down words].to_h { |name| [name, params[name].to_s.strip] }
        end

        # @return [Symbol, nil]
        def problem
          return :sort_missing unless Store::CameIn::SORTS.include?(typed["sort"])
          return :place_missing unless place

          :note_too_long if typed["words"].size > LONGEST
        end

        def valid? = problem.nil?

        # @return [Hash]
        def values =
          {
            sort: typed["sort"],
            curtain: @hands.include?(typed["curtain"]) ? typed["curtain"] : @hands.first,
            across: place.first,
            down: place.last,
            words: typed["words"]
          }

        private

        # Where the drawing was touched, or the place that was named.
        def place
          touched = typed.values_at("across", "down")
          return touched.map { |text| Integer(text, 10) } if touched.all? { |text| text.match?(/\A\d{1,3}\z|\A1000\z/) }

          Work::CameIn::PLACES[typed["place"]]
        end
      end
    end
  end
end
