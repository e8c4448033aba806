# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # The folds a curtain makes when it hangs, for the room it takes: seen from above, and drawn back.
    module Folds
      # How much flat cloth a gathering tape, a rod or webbing lays into one fold.
      GATHERED = Length.mm(120)

      module_function

      # @param flat [Length]
      # @return [Integer] at least one
      #
      #   Folds.gathered(Length.cm(263)) # => 22
      def gathered(flat) = [(flat / GATHERED).ceil, 1].max

      # How far the folds reach to either side of the line they hang on, as the rules give it for the wave, up to the
      # whole millimetre: ¼·√(cloth in a fold² − width of a fold²).
      # @param flat [Length] of the cloth laid into folds
      # @param hung [Length] what it covers
      # @param count [Integer] folds
      # @return [Length]
      #
      #   Folds.depth(Length.cm(263), Length.cm(100), 22) # => 28 mm
      def depth(flat, hung, count)
        square = ((flat / count).mm**2 - (hung / count).mm**2).ceil
        square.positive? ? Length.mm(Rational(ceiling_root(square), 4).ceil) : Length::ZERO
      end

      # How wide the curtain stands when it is drawn back, about: its folds one against the other, and the flat
      # leading end.
      # @param treatment [Treatment]
      # @param curtain [Curtain]
      # @param house [HouseRules]
      # @return [Length] never wider than the curtain closed
      #
      #   Folds.stacked(treatment, curtain, house) # => 370 mm
      def stacked(treatment, curtain, house)
        folds = treatment.heading.folds(curtain.task, curtain.heading)
        [house.fold(treatment) * folds + curtain.span.lead_flat, curtain.finished_width - curtain.span.return_flat].min
      end

      def ceiling_root(number)
        root = Integer.sqrt(number)
        (root * root == number) ? root : root + 1
      end
      private_class_method :ceiling_root
    end
  end
end
