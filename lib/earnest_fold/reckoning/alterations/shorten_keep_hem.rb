# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # Shortened by a tuck above the made hem, which is kept.
    class ShortenKeepHem < Value.define(:existing_length, :wanted_length, :stand_up, :existing_hem, :seam)
      include Alteration
      include ByPins

      KIND = "shorten_keep_hem"
      FIELDS = Fields.new(
        **ByPins::LENGTHS,
        **ByPins::FOOT,
        **Declare.at("measure", existing_hem: AskedOfCurtain::CAME),
        **Declare.at("alter", seam: AskedOfCurtain::SEAM)
      )
      EXAMPLE = {
        "kind" => KIND,
        "existing_length" => "228 cm",
        "wanted_length" => "190 cm",
        "existing_hem" => {"kind" => "single", "depth" => "3 cm"},
        "seam" => "1.5 cm"
      }.freeze

      def self.place = 20

      def self.shortens? = true

      def figures = {remove: remove, seam_line: from_the_top - existing_hem.depth, tuck_fold: remove / 2, strip: strip}

      def checks =
        strip.negative? ? [stop("tuck_too_small", "seam", "wanted_length", strip: strip, least: seam * 2)] : []

      def working
        [
          *from_the_top_line,
          Line.of(:remove, remove, [existing_length, "−", from_the_top]),
          Line.of(:seam_line, figures[:seam_line], [from_the_top, "−", existing_hem.depth]),
          Line.of(:tuck_fold, remove / 2, [remove, "÷", 2]),
          Line.of(:strip, strip, [remove, "−", 2, "×", seam])
        ]
      end

      def contradictions = longer_than_it_is + hem_too_deep(existing_hem, "existing_hem.depth")

      # The tuck lies above the made hem: its two seam lines come to lie on each other.
      # @param curtain [OwnCurtain]
      #
      #   altered("shorten_keep_hem").lines(own_curtains).map(&:name).first(2) # => [:seam_line, :strip_from]
      def lines(_curtain)
        upper = figures[:seam_line]
        [
          line(:seam_line, :sew, upper),
          line(:strip_from, :cut, upper + seam),
          line(:tuck_fold, :fold, upper + remove / 2),
          line(:strip_to, :cut, upper + remove - seam),
          line(:other_seam_line, :sew, upper + remove)
        ]
      end

      def left_over(_curtain) = [strip, Length::ZERO].max

      def motif_after(place, _curtain)
        upper = figures[:seam_line]
        return place if place < upper

        (place > upper + remove) ? place - remove : nil
      end

      def foot_tuck = Tuck.new(remove: remove, seam: seam, strip: strip)

      def made_hem = existing_hem

      private

      def remove = existing_length - from_the_top

      def strip = remove - seam * 2
    end

    Alterations.register(ShortenKeepHem::KIND, ShortenKeepHem)
  end
end
