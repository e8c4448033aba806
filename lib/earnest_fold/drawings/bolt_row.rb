# frozen_string_literal: true

module EarnestFold
  module Drawings
    # One row of a piece of cloth as it is drawn: which stretch of the cloth it shows, and where that stands.
    class BoltRow
      SIDE, WIDTH = 16, 900
      # A figure so near to an end would stand half outside of the sheet.
      EDGE = 20

      attr_reader :from, :to, :y, :tall

      # @param scale [Scale]
      # @param from [Reckoning::Length] along the cloth
      # @param to [Reckoning::Length]
      # @param y [Numeric] of its upper edge
      # @param tall [Numeric]
      def initialize(scale, from, to, y, tall)
        @scale, @from, @to, @y, @tall = scale, from, to, y, tall
      end

      # @param x [Numeric] of a figure
      # @return [String, nil] how it stands there, where that isn't in the middle, as everything in a row does
      #
      #   Drawings::BoltRow.anchor(20) # => "start"
      def self.anchor(x)
        return "start" if x < SIDE + EDGE

        (x > WIDTH - SIDE - EDGE) ? "end" : nil
      end

      # @return [Float] of a place on the cloth, beyond the sheet where the row doesn't show it
      #
      #   bolt_row = Drawings::BoltRow.new(Drawings::Scale.new(0.5), Length.mm(200), Length.mm(400), 0, 60)
      #   bolt_row.x(Length.mm(300)) # => 66.0
      def x(distance) = SIDE + @scale.between(@from, distance)

      # @return [Float] from the row's beginning to its end
      #
      #   Drawings::BoltRow.new(Drawings::Scale.new(0.5), Length.mm(200), Length.mm(400), 0, 60).wide # => 100.0
      def wide = @scale.between(@from, @to)

      # @return [Numeric] of its lower edge
      #
      #   Drawings::BoltRow.new(Drawings::Scale.new(0.5), Length.mm(200), Length.mm(400), 58, 60).foot # => 118
      def foot = @y + @tall

      # @return [Numeric] half way down
      #
      #   Drawings::BoltRow.new(Drawings::Scale.new(0.5), Length.mm(200), Length.mm(400), 58, 60).middle # => 88
      def middle = @y + @tall / 2

      # @return [Boolean] whether any of the stretch lies in it
      #
      #   bolt_row = Drawings::BoltRow.new(Drawings::Scale.new(0.5), Length.mm(200), Length.mm(400), 0, 60)
      #   bolt_row.shows?(Length.mm(400), Length.mm(500)) # => false
      def shows?(from, to) = to > @from && from < @to
    end
  end
end
