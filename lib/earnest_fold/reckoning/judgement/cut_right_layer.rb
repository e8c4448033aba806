# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # The curtain itself is out of the way when a strip is cut off.
      module CutRightLayer
        CODE = "cut_right_layer"
        STATION = %w[making alter].freeze
        MANNER = :say
        ON = Judgement.on(:cut, at: %i[side seam], layer: :face)

        # @param seen [AlterCase]
        # @return [Hash, nil]
        #
        #   Judgement::CutRightLayer.altering(seen_altered) # => nil
        def self.altering(seen)
          {form: :strip, width: seen.made.left_over} if seen.alteration.tucked?
        end

        # @param touch [Touch]
        # @return [Hash]
        #
        #   parts = steps.first.parts.map { |part| part.with(figures: {cut_width: Length.cm(95)}) }
        #   touch = Touch.new(step: steps.first.with(parts: parts), operation: nil, layer: :face, material: nil)
        #   Judgement::CutRightLayer.touched(seen, touch) # => {:width=>950 mm}
        def self.touched(_seen, touch)
          strip = touch.figures[:strip]
          strip ? {form: :strip, width: strip} : {width: touch.figures.fetch(:cut_width)}
        end
      end

      register(CutRightLayer)
    end
  end
end
