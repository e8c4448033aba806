# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Cutting
      module Patterned
        # Every place on a piece of patterned cloth at which some kind of cut can begin, in order along it. Cloth
        # between cuts is never needed for itself, so a cut begins at the first place of its kind after the one
        # before.
        # @api private
        class Places
          # @return [Array<Integer>] by place: the kind, and where a cut of it ends
          attr_reader :kinds, :ends
          # @return [Array<Integer>] by place: what the piece costs when a cut there is its last
          attr_reader :spent
          # @return [Array<Integer>] by place: the first place at or after its end
          attr_reader :following

          # @param fill [PieceFill]
          # @param kinds [Array<PieceFill::Shape>]
          # @param paid [Integer] up to where the piece costs nothing
          def initialize(fill, kinds, paid = 0)
            places = kinds.each_index.flat_map { |kind| all_of(fill, kinds[kind], kind) }.sort
            @starts = places.map(&:first)
            @kinds = places.map { |_, kind| kind }
            @ends = places.map { |from, kind| from + kinds[kind].length }
            @paid = paid
            @spent = @ends.map { |ended| spent_at(ended) }
            @following = @ends.map { |ended| @starts.bsearch_index { |from| from >= ended } || size }
            @next_of = next_places(kinds.size)
          end

          # @return [Integer] how many places there are
          def size = @starts.size

          # @param ended [Integer] where the last cut ends
          # @return [Integer] what the piece costs then
          def spent_at(ended) = [ended - @paid, 0].max

          # @return [Integer] where a cut at this place begins
          def start(place) = @starts[place]

          # @param kind [Integer]
          # @param place [Integer] at or after which
          # @return [Integer, nil] the first place of that kind
          def of_kind(kind, place) = @next_of[place][kind]

          # What each place is worth: the least that a piece is used from here on when every cut of a kind earns its
          # price, and the least of all places from here on. Both are asked for often, so this is one pass over whole
          # numbers.
          # @param prices [Array<Integer>] by kind
          # @return [Array(Array<Integer>, Array<Integer>)] by place; the second has one more, for the end of the piece
          def worth(prices)
            from_here = Array.new(size + 1)
            at = Array.new(size)
            least = nil
            (size - 1).downto(0) do |place|
              going = from_here[@following[place]]
              ended = @spent[place]
              at[place] = ((going && going < ended) ? going : ended) - prices[@kinds[place]]
              least = at[place] if least.nil? || at[place] < least
              from_here[place] = least
            end
            [at, from_here]
          end

          # The most that can be cut from each place on, counted at the prices, whatever it uses.
          # @param prices [Array<Integer>] by kind
          # @return [Array<Integer>] by place, and 0 for the end of the piece
          def most(prices)
            from_here = Array.new(size + 1, 0)
            (size - 1).downto(0) do |place|
              from_here[place] = [from_here[place + 1], prices[@kinds[place]] + from_here[@following[place]]].max
            end
            from_here
          end

          private

          def all_of(fill, kind, index)
            found, at = [], 0
            while (from = fill.start_of(at, kind))
              found << [from, index]
              at = from + 1
            end
            found
          end

          def next_places(count)
            after = Array.new(count)
            rows = Array.new(size + 1)
            rows[size] = after.dup
            (size - 1).downto(0) do |place|
              after[@kinds[place]] = place
              rows[place] = after.dup
            end
            rows
          end
        end
      end
    end
  end
end
