# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # A form that is merged field by field: a field is taken where it still stands as it was seen, and where it
      # doesn't both values are shown. Two people at different fields both win. Who includes it answers `shown(name)`,
      # what stands in a field now, has `@saw` ({Saw}), and says what a field is `called`.
      module Merging
        # A field that somebody else changed meanwhile: what was typed here, what stands there now, and both as they
        # are told.
        Both = Reckoning::Value.define(:path, :label, :mine, :theirs, :mine_said, :theirs_said)

        # @return [Array<Both>]
        def clashes = @clashes ||= []

        private

        # @param typed [String]
        # @return [Boolean] whether the field is to become what was typed: it was changed here, and is as it was when
        #   that began
        def mine?(name, typed)
          now = shown(name)
          return false if typed == now

          saw = @saw.text(name)
          return false if typed == saw
          return true if saw == now || alike?(name, saw)

          clash(name, typed, now)
          false
        end

        # @return [Boolean] whether what was seen means what stands there now
        def alike?(_name, _saw) = false

        def clash(name, mine, theirs)
          mine_said, theirs_said = [mine, theirs].map { |text| told(name, text) }
          clashes << Both.new(
            path: name, label: called(name), mine: mine, theirs: theirs, mine_said: mine_said, theirs_said: theirs_said
          )
        end

        # So many letters of a long text tell one from another.
        MOST_TOLD = 200
        private_constant :MOST_TOLD

        def told(name, text)
          return Words.say("changes.nothing") if text.empty?

          (text.size > MOST_TOLD) ? "#{text[0, MOST_TOLD]}…" : in_words(name, text)
        end

        # What doesn't tell by itself what it means: a choice, the number of something that has a name.
        def in_words(_name, text) = text

        def called(name) = Words.field_label(name)
      end
    end
  end
end
