# frozen_string_literal: true

module EarnestFold
  module Drawings
    # From lengths to the units of a drawing.
    class Scale
      # @param room [Array(Numeric, Numeric)] width and height there are to draw in
      # @param extent [Array(Reckoning::Length, Reckoning::Length)] what has to fit
      # @return [Scale] the largest that fits
      #
      #   Drawings::Scale.fitting([700, 300], [Length.mm(1400), Length.mm(2000)])[Length.mm(1000)] # => 150.0
      def self.fitting(room, extent)
        new(room.zip(extent).map { |space, length| space / [length.mm.to_f, 1].max }.min)
      end

      # @param factor [Float] drawing units to the millimetre
      def initialize(factor)
        @factor = factor
      end

      # @param length [Reckoning::Length]
      # @return [Float]
      #
      #   Drawings::Scale.new(0.5)[Length.mm(300)] # => 150.0
      def [](length) = length.mm.to_f * @factor

      # @param from [Reckoning::Length]
      # @param to [Reckoning::Length]
      # @return [Float] as far as it is from one to the other
      #
      #   Drawings::Scale.new(0.5).between(Length.mm(100), Length.mm(300)) # => 100.0
      def between(from, to) = (to.mm - from.mm).to_f * @factor
    end
  end
end
