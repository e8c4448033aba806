# frozen_string_literal: true

module EarnestFold
  module Drawings
    # Whole metres, or whole feet, along the foot of a row of cloth; of a short piece tenths of a metre, and each foot.
    class FootRuler
      R = Reckoning
      # A figure takes so much room.
      ROOM = 36
      # In a row shorter than so many metres, or feet, it is told more finely.
      SHORT = {"m" => 2, "ft" => 6}.freeze

      # @param svg [Svg] is drawn on
      # @param scale [Scale]
      # @param unit [Reckoning::Unit]
      # @param row [Reckoning::Length] how much a row shows
      def initialize(svg, scale, unit, row)
        @svg, @scale = svg, scale
        @sign, @whole = unit.inches? ? ["ft", R::Length.inches(12)] : ["m", R::Length.mm(1000)]
        @short = row < @whole * SHORT.fetch(@sign)
      end

      # @param from [Reckoning::Length] along the cloth, where the row begins
      # @param to [Reckoning::Length]
      # @param side [Numeric] where that is drawn
      # @param foot [Numeric] the height of the ruler
      # @yieldparam x [Float] of a figure
      # @yieldreturn [String, nil] how it stands there, where that isn't as whatever it stands in says
      def draw(from, to, side, foot)
        counts = (from / step).ceil..(to / step).floor
        places = counts.to_h { |count| [count, side + @scale.between(from, step * count)] }
        strokes(places.values, side, side + @scale.between(from, to), foot)
        places.each do |count, at|
          @svg.text(at, foot + 18, told(count), class: "ruler", text_anchor: yield(at)) if (count % each).zero?
        end
      end

      private

      # All of them at once, as they are many.
      def strokes(places, from, to, foot)
        upright = places.flat_map { |at| ["M", at, foot - 4, "v", 8] }
        @svg.path(["M", from, foot, "H", to, *upright], class: "dim")
      end

      # From stroke to stroke.
      def step = (@short && @sign == "m") ? @whole / 10 : @whole

      # How many strokes to a figure.
      def each = [(ROOM / @scale[step]).ceil, usual].max

      def usual
        return @short ? 1 : 3 if @sign == "ft"

        @short ? 5 : 1
      end

      def told(count) = "#{Words.number(step * count / @whole, 1)} #{Words.say("unit_signs.#{@sign}")}"
    end
  end
end
