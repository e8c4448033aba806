# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # A lining sewn to the face at the sides, right sides together: the face wraps to the back by a quarter of what it
    # is wider, whatever the seam. "Lining and interlining" in the rules.
    BaggedLining = Value.define(:face_cut, :lining_cut, :seam) do
      # @return [Length] how far the face comes round at each side; measure it on the first curtain and keep it all
      #   the way up
      #
      #   wide, narrow = Length.cm(126), Length.cm(118)
      #   BaggedLining.new(face_cut: wide, lining_cut: narrow, seam: Length.cm(2)).wrap # => 20 mm
      def wrap = (face_cut - lining_cut) / 4

      # @return [Length] the finished flat width
      #
      #   wide, narrow = Length.cm(126), Length.cm(118)
      #   BaggedLining.new(face_cut: wide, lining_cut: narrow, seam: Length.cm(2)).flat_width # => 1180 mm
      def flat_width = (face_cut + lining_cut) / 2 - seam * 2

      # @return [Allowance] the face's side turning that says the same in the job format
      #
      #   wide, narrow = Length.cm(126), Length.cm(118)
      #   BaggedLining.new(face_cut: wide, lining_cut: narrow, seam: Length.cm(2)).side.depth # => 20 mm
      def side = Allowance.new(kind: "single", depth: wrap, turn_under: seam)
    end
  end
end
