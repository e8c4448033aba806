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
        def self.touched(_seen, touch)
          strip = touch.figures[:strip]
          strip ? {form: :strip, width: strip} : {width: touch.figures.fetch(:cut_width)}
        end
      end

      register(CutRightLayer)
    end
  end
end
