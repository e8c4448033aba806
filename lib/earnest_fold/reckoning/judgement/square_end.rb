# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # A piece's first cut makes its end square.
      module SquareEnd
        CODE = "square_end"
        STATION = "cutting"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        #
        #   Judgement::SquareEnd.call(seen) # => nil
        def self.call(seen)
          square(seen.cutting) if seen.cutting&.first_on_piece
        end

        def self.square(cut)
          form = cut.cloth.repeats? ? :printed : :plain
          return {form: :"#{form}_unreckoned"} if cut.cloth.square_off.zero?

          {form: form, square_off: cut.cloth.square_off}
        end
        private_class_method :square
      end

      register(SquareEnd)
    end
  end
end
