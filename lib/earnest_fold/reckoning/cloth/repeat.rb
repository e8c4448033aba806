# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # Where in the vertical repeat each width is cut: "The pattern repeat" in the rules.
    module Repeat
      module_function

      # @param pattern [Pattern]
      # @param cut [DropCut]
      # @return [Length] the distance from a repeat line at which a width of phase A starts; zero for free or plain
      #   cloth
      #
      #   Repeat.start(treatment.pattern.with(place: "hem"), treatment.drop_cut) # => 72 mm
      def start(pattern, cut)
        return Length::ZERO if pattern.place == "free" || !cut.cloth.repeats?

        fold = (pattern.place == "top") ? cut.top_fold : cut.hem_fold
        (pattern.point - fold) % cut.cloth.vertical_repeat
      end

      # @param index [Integer] of the width, from 0 at the leading edge
      # @param shifts [Boolean] whether each next width stands half a repeat lower
      # @param across [Boolean] whether this curtain counts B, A, B
      # @return [String] "A" or "B"
      #
      #   Repeat.phase(1, true, false) # => "B"
      def phase(index, shifts, across)
        return "A" unless shifts

        (index.even? ^ across) ? "A" : "B"
      end
    end
  end
end
