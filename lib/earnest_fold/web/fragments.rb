# frozen_string_literal: true

module EarnestFold
  module Web
    # Markup that is made once for as long as nothing changes that it shows. It is used where `bin/bench web` shows
    # that it is worth it, and nowhere else.
    module Fragments
      # Of as many works as are looked at at the same time: the rail beside one of dozens of windows takes some tens of
      # kilobytes, and each of them has another.
      PARTS = Store::Remembered.new(400)
      # Of as many as are changed at the same time.
      ROWS = Store::Remembered.new(60)
      private_constant :PARTS, :ROWS
      @remembered = true

      class << self
        # @param holder [#once] what the markup shows, with all that it is made from
        # @param name [Array] which part of it, with what else it depends on
        # @yieldreturn [String] markup
        # @return [String]
        def of(holder, *name, &made) = @remembered ? holder.once(:markup, *name, &made) : made.call

        # A small part of which a page has many, most of them the same after one figure was changed.
        # @param view [Symbol]
        # @param shown [Reckoning::Value, Object] all that it shows, or its state: it is given nothing else
        # @yieldreturn [String] markup
        # @return [String]
        def part(view, shown, &made) = @remembered ? PARTS.fetch([view, shown], &made) : made.call

        # What stands in rows, most of them the same after one figure was changed: each is made anew where it isn't
        # what it was when these rows were shown last.
        # @param place [Array] whose rows they are
        # @param shown [Array<Reckoning::Value>] all that each shows: it is given nothing else
        # @yieldparam one [Reckoning::Value]
        # @yieldreturn [String] markup
        # @return [String]
        def rows(place, shown)
          before = (@remembered && ROWS[place]) || []
          made = shown.zip(before).map { |one, last| (last && last.first == one) ? last : [one, yield(one)] }
          ROWS[place] = made
          made.map(&:last).join
        end

        # For the bench: what the block shows is made anew each time.
        def made_anew
          @remembered = false
          yield
        ensure
          @remembered = true
        end
      end
    end
  end
end
