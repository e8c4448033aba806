# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Cutting
      # One piece of cloth with its cuts, in order from its end. `length` is nil for an endless one.
      PiecePlan = Value.define(:id, :batch, :length, :placed) do
        # @return [Length] where the last cut ends
        #
        #   plan.pieces.first.used # => 11928 mm
        def used = placed.empty? ? Length::ZERO : placed.last.to

        # @return [Boolean] whether anything is cut of it
        #
        #   plan.pieces.first.touched? # => true
        def touched? = placed.any?
      end

      # A treatment that can't be cut from what there is.
      Uncut = Value.define(:treatment, :count, :length, :to_buy)

      # The cuts of a cloth on its pieces. `proved` says whether no plan uses less; `bound` is what no plan can go
      # under.
      Plan = Value.define(:pieces, :uncut, :proved, :bound) do
        # @return [Length] over all pieces, where the last cut ends
        #
        #   plan.length_used # => 11928 mm
        def length_used = pieces.sum(Length::ZERO, &:used)

        # @return [Integer] cuts that are left uncut
        #
        #   plan.uncut_count # => 0
        def uncut_count = uncut.sum(&:count)

        # @return [Symbol] how good it is known to be: :short where cuts find no place, however few it leaves;
        #   :proved where no plan takes less; :bound where none takes less than the bound
        #
        #   plan.proof # => :proved
        def proof
          return :short if uncut.any?

          proved ? :proved : :bound
        end
      end
    end
  end
end
