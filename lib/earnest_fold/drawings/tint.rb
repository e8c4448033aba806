# frozen_string_literal: true

module EarnestFold
  module Drawings
    # A cloth's colour as a drawing shows it. Lines and words lie over it, so that a dark cloth is shown paler, in its
    # own hue: a black one would be drawn in ink on ink.
    class Tint
      # How light a colour is at least, from 0 (black) to 1 (white), as WCAG reckons it: also where a cut is made, and
      # so darkened, words keep 4.5 to one.
      LEAST = 0.48
      # From black to white in so many steps; beside white nothing is strong. With channels so far apart anybody sees
      # which hue it is.
      STEPS, STRONGEST, SEEN = 50, 0.45, 64
      # How much of the light each channel gives, and what each of its values is of it.
      PARTS = [0.2126, 0.7152, 0.0722].freeze
      LIGHT = Array.new(256) { |value|
        part = value / 255.0
        (part <= 0.04045) ? part / 12.92 : ((part + 0.055) / 1.055)**2.4
      }.freeze
      CHANNELS = /\A#(\h\h)(\h\h)(\h\h)\z/
      private_constant :STEPS, :STRONGEST, :SEEN, :PARTS, :LIGHT, :CHANNELS

      # @param colour [String] "#rrggbb"; anything else is left as it is
      # @return [String] the same where it is light enough, else of the same hue and just light enough
      #
      #   Drawings::Tint.of("#c8b79a") # => "#c8b79a"
      #   Drawings::Tint.of("#141a33") # => "#aeb8df"
      def self.of(colour)
        channels = CHANNELS.match(colour)&.captures&.map { |part| part.to_i(16) }
        (channels.nil? || light(channels) >= LEAST) ? colour : new(channels).to_s
      end

      # @param channels [Array<Integer>] red, green and blue, to 255
      # @return [Float] as WCAG reckons it
      #
      #   Drawings::Tint.light([255, 255, 255]).round(3) # => 1.0
      def self.light(channels) = channels.zip(PARTS).sum { |value, part| LIGHT[value] * part }

      # @param channels [Array<Integer>] red, green and blue, to 255
      def initialize(channels)
        @channels = channels
        @least, @most = channels.minmax
      end

      # @return [String] "#rrggbb"
      #
      #   Drawings::Tint.new([0, 0, 0]).to_s # => "#bdbdbd"
      def to_s
        enough = (1..STEPS).bsearch { |step| Tint.light(at(step.fdiv(STEPS))) >= LEAST }
        format("#%02x%02x%02x", *at(enough.fdiv(STEPS)))
      end

      private

      # Of the same hue, as light as is said from 0 to 1.
      def at(lightness)
        swing = strength * [lightness, 1 - lightness].min
        [0, 8, 4].map do |channel|
          place = (channel + hue * 2) % 12
          ((lightness - swing * [[place - 3, 9 - place, 1].min, -1].max) * 255).round
        end
      end

      # From red over green and blue back to red, in sixths.
      def hue
        return 0 if @most == @least

        red, green, blue = @channels.map { |value| value.fdiv(@most - @least) }
        case @most
        when @channels[0] then green - blue
        when @channels[1] then blue - red + 2
        else red - green + 4
        end
      end

      # From grey (0) to the strongest there is (1): what is nearly black is nearly grey, whatever its hue.
      def strength
        apart = @most - @least
        return 0 if apart.zero?

        [apart.fdiv(255 - (@most + @least - 255).abs), apart.fdiv(SEEN), STRONGEST].min
      end
    end
  end
end
