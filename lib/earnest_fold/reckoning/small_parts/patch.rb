# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # A patch kept with the job, for mending.
    class Patch < Value.define(:width, :height, :count)
      include SmallPart

      KIND = "patch"
      FIELDS = Fields.new(
        width: Declare.length(least: :over_zero),
        height: Declare.length(least: :over_zero),
        count: Declare.count(1, least: 1, most: 1000)
      )
      EXAMPLE = {"kind" => KIND, "width" => "15 cm", "height" => "15 cm"}.freeze

      # @return [Length]
      #
      #   small_part("patch").length # => 150 mm
      def length = width

      # @return [Length]
      #
      #   small_part("patch").depth # => 150 mm
      def depth = height
    end

    SmallParts.register(Patch::KIND, Patch)
  end
end
