# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Cutting
      # A cut with its place on a piece.
      Placed = Value.define(:cut, :from, :to)

      # One endless flawless piece whose repeat line is at its start, cut in the order that uses least: "Length
      # needed" in the rules.
      class Endless
        # @return [Array<Placed>] in cutting order
        attr_reader :placed

        # @param cloth [Cloth]
        # @param cuts [Array<Cut>]
        def initialize(cloth, cuts)
          @cloth = cloth
          @cuts = cuts
          @proved = true
          @placed = place(order).freeze
          freeze
        end

        # @return [Boolean] whether no order uses less; only a great many cuts of mixed kinds are laid out without the
        #   proof
        attr_reader :proved
        alias_method :proved?, :proved

        # @return [Length] where the last cut ends
        #
        #   ClothReckoning.of(cloth, [reckoning]).endless.length_used # => 10008 mm
        def length_used = placed.empty? ? Length::ZERO : placed.last.to

        # @return [Length] with one repeat more where a patterned cloth is cut up the drop: a roll starts anywhere
        #
        #   ClothReckoning.of(cloth, [reckoning]).endless.length_needed # => 10328 mm
        def length_needed = in_phase? ? length_used + @cloth.vertical_repeat : length_used

        # @return [Length]
        #
        #   ClothReckoning.of(cloth, [reckoning]).endless.length_to_order # => 10400 mm
        def length_to_order = @cloth.to_order(length_needed)

        private

        def in_phase? = @cuts.any?(&:start)

        def order
          return @cuts unless in_phase?

          @cuts.all?(&:start) ? round_the_circle(@cuts) : mixed
        end

        def mixed
          search = FreeAmongPhased.new(@cloth, @cuts)
          @proved = search.exact?
          return search.order if @proved

          phased, free = @cuts.partition(&:start)
          round_the_circle(phased) + free
        end

        def round_the_circle(cuts)
          scale = cuts.map { |cut| [cut.start.mm.denominator, cut.length.mm.denominator].max }.reduce(1, :lcm)
          scale =
            [
              @cloth.vertical_repeat,
              @cloth.square_off,
              *cuts.flat_map { |cut| [cut.start, cut.length] }.uniq
            ].map { |length| length.mm.denominator }.reduce(scale, :lcm)
          whole = ->(length) { (length.mm * scale).numerator }
          repeat = whole.call(@cloth.vertical_repeat)
          arcs = cuts.map { |cut| [whole.call(cut.start), (whole.call(cut.start) + whole.call(cut.length)) % repeat] }
          RepeatCircle.new(repeat, whole.call(@cloth.square_off) % repeat, arcs).order.map { |index| cuts[index] }
        end

        def place(cuts)
          at = @cloth.square_off
          cuts.map do |cut|
            from = cut.start ? at + (cut.start - at) % @cloth.vertical_repeat : at
            at = from + cut.length
            Placed.new(cut: cut, from: from, to: at)
          end
        end
      end
    end
  end
end
