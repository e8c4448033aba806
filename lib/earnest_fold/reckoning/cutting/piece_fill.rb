# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Cutting
      # What can be cut from one piece. For each multiset of kinds cut so far only the least end matters: whatever
      # comes after starts no later from there. So the least end of every multiset is built up cut by cut.
      # @api private
      class PieceFill
        # A kind of cut: where in the repeat it starts (nil: anywhere), how long it is. Whole numbers, as everything
        # here.
        Shape = Struct.new(:start, :length)
        # The least end of a multiset, and the kind cut last.
        Reach = Struct.new(:end, :last)

        # @param length [Integer]
        # @param flaws [Array<Array(Integer, Integer)>] in order
        # @param pattern_start [Integer] where a repeat line falls
        # @param repeat [Integer] 0 for plain cloth
        # @param square_off [Integer] before which nothing starts
        # @param kinds [Array<Shape>]
        def initialize(length:, flaws:, pattern_start:, repeat:, square_off:, kinds:)
          @length, @flaws, @pattern_start, @repeat, @square_off, @kinds =
            length, flaws, pattern_start, repeat, square_off, kinds
        end

        # @param sets [Multisets] what there is of each kind
        # @return [Hash{Integer => Reach}] every multiset that this piece holds
        def reaches(sets)
          found = {0 => Reach.new(0, nil)}
          layer = found
          until layer.empty?
            layer = next_layer(layer, sets)
            found.merge!(layer)
          end
          found
        end

        # @param multiset [Integer]
        # @return [Array<Array(Integer, Integer, Integer)>] kind, from and to of each cut, in order along the piece
        def sequence(multiset, reaches, sets)
          kinds = []
          while (kind = reaches.fetch(multiset).last)
            kinds.unshift(kind)
            multiset -= sets.units[kind]
          end
          place(kinds)
        end

        # @param at [Integer]
        # @param kind [Shape]
        # @return [Integer, nil] the first place from here on that is in phase, clear of flaws and inside the piece
        def start_of(at, kind)
          from = in_phase([at, @square_off].max, kind)
          @flaws.each do |flaw_from, flaw_to|
            from = in_phase(flaw_to, kind) if from < flaw_to && from + kind.length > flaw_from
          end
          from if from + kind.length <= @length
        end

        private

        def next_layer(layer, sets)
          layer.each_with_object({}) do |(multiset, reach), following|
            @kinds.each_with_index do |kind, index|
              more = multiset + sets.units[index]
              next unless sets.fits?(more)

              ended = ended_by(reach.end, kind) or next
              following[more] = Reach.new(ended, index) unless following[more] && following[more].end <= ended
            end
          end
        end

        def ended_by(at, kind) = (from = start_of(at, kind)) && from + kind.length

        def in_phase(at, kind) = kind.start ? at + (@pattern_start + kind.start - at) % @repeat : at

        def place(kinds)
          at = 0
          kinds.map do |kind|
            from = start_of(at, @kinds[kind])
            at = from + @kinds[kind].length
            [kind, from, at]
          end
        end
      end
    end
  end
end
