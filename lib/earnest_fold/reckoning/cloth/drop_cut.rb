# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # What one cut along the cloth must measure: "Drop" in the rules. `top` and `hem` are what the turnings take; run
    # sideways, shrink doesn't enlarge it.
    class DropCut < Value.define(:cloth, :finished, :top, :hem, :squaring, :sideways)
      # @return [Length] finished drop with every allowance, over what shrinking leaves
      attr_reader :cut_drop
      # @return [Rational] what shrinking leaves of a length
      attr_reader :shrinking

      def initialize(cloth:, finished:, top:, hem:, squaring:, sideways:)
        @shrinking = sideways ? 1r : cloth.after_shrinking
        @cut_drop = (finished + top + hem + squaring) / @shrinking
        super
      end

      # @return [Length] finished drop and turnings, without the squaring: what is sewn and weighed
      #
      #   reckoning.drop_cut.made # => 2328 mm
      def made = finished + top + hem

      # @return [Length] up to whole repeats, for those who cut repeat by repeat
      #
      #   treatment.drop_cut.cut_drop   # => 2328 mm
      #   treatment.drop_cut.cut_length # => 2560 mm
      def cut_length = (cloth.repeats? && !sideways) ? cut_drop.ceil_to(cloth.vertical_repeat) : cut_drop

      # @return [Length] from the cut's start down to the fold at the top
      #
      #   reckoning.drop_cut.top_fold # => 40 mm
      def top_fold = (squaring + top) / shrinking

      # @return [Length] from the cut's start down to the fold of the hem
      #
      #   reckoning.drop_cut.hem_fold # => 2168 mm
      def hem_fold = cut_drop - hem / shrinking
    end
  end
end
