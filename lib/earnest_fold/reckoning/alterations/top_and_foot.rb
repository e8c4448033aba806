# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # Shortened at the top and at the foot in one: the tuck under the heading band brings the motif where it is wanted,
    # what is still too long goes in a tuck above the made hem. `foot_seam` is the seam allowance there, the same as at
    # the top where nobody says otherwise.
    class TopAndFoot < Value.define(
      :existing_length,
      :wanted_length,
      :stand_up,
      :take_out_top,
      :existing_hem,
      :seam,
      :foot_seam
    )
      include Alteration
      include ByPins

      KIND = "top_and_foot"
      FIELDS = Fields.new(
        **ByPins::LENGTHS,
        **Declare.at("measure", take_out_top: Declare.length(least: :over_zero, sane: AskedOfCurtain::SANE)),
        **ByPins::FOOT,
        **Declare.at("measure", existing_hem: AskedOfCurtain::CAME),
        **Declare.at(
          "alter",
          seam: AskedOfCurtain::SEAM,
          foot_seam: Declare.length(nil)
        )
      )
      EXAMPLE = {
        "kind" => KIND,
        "existing_length" => "210 cm",
        "wanted_length" => "150 cm",
        "take_out_top" => "24 cm",
        "existing_hem" => {"kind" => "single", "depth" => "3 cm"},
        "seam" => "1.5 cm"
      }.freeze

      def self.place = 40

      def self.shortens? = true

      def figures =
        {
          top_tuck_fold: take_out_top / 2,
          top_strip: top_strip,
          pattern_rises: take_out_top,
          foot_out: foot_out,
          foot_tuck_fold: foot_out / 2,
          foot_strip: foot_strip
        }

      def checks
        strips = [
          [top_strip, seam, "seam", "take_out_top"],
          *([[foot_strip, at_foot, "foot_seam", "take_out_foot"]] if foot_out.positive?)
        ]
        [
          *strips.select { |strip, *| strip.negative? }
            .map { |strip, allowance, *at| stop("tuck_too_small", *at, strip: strip, least: allowance * 2) }
            .first(1),
          (too_much_removed if foot_out.negative?)
        ].compact
      end

      def too_much_removed =
        stop("too_much_removed", "take_out_top", short: -foot_out, most: existing_length - from_the_top)
      private :too_much_removed

      def working
        [
          *from_the_top_line,
          Line.of(:tuck_fold, take_out_top / 2, [take_out_top, "÷", 2]),
          Line.of(:strip, top_strip, [take_out_top, "−", 2, "×", seam]),
          Line.of(:left_at_hem, foot_out, [existing_length, "−", take_out_top, "−", from_the_top]),
          Line.of(:tuck_fold, foot_out / 2, [foot_out, "÷", 2]),
          Line.of(:strip, foot_strip, [foot_out, "−", 2, "×", at_foot])
        ]
      end

      def contradictions = longer_than_it_is + hem_too_deep(existing_hem, "existing_hem.depth")

      # On the curtain as it came, the top's tuck first.
      # @param curtain [OwnCurtain]
      #
      #   altered("top_and_foot").lines(own_curtains).size # => 10
      def lines(curtain)
        top = tuck_lines(:top, curtain.band, take_out_top, seam)
        foot_out.positive? ? top + tuck_lines(:foot, upper_foot, foot_out, at_foot) : top
      end

      def left_over(_curtain) =
        [top_tuck, foot_tuck].compact.map(&:strip).select(&:positive?).sum(Length::ZERO)

      # @param place [Length]
      # @param curtain [OwnCurtain]
      #
      #   altered("top_and_foot").motif_after(Length.cm(2), own_curtains) # => 20 mm
      def motif_after(place, curtain)
        return place if place < curtain.band
        return if place <= curtain.band + take_out_top

        after = place - take_out_top
        return after if after < hem_seam || !foot_out.positive?

        (after > hem_seam + foot_out) ? after - foot_out : nil
      end

      def top_tuck = Tuck.new(remove: take_out_top, seam: seam, strip: top_strip)

      # @return [Tuck, nil] nil where nothing goes at the foot
      #
      #   altered("top_and_foot").foot_tuck.remove # => 360 mm
      def foot_tuck = foot_out.positive? ? Tuck.new(remove: foot_out, seam: at_foot, strip: foot_strip) : nil

      def rise = take_out_top

      def made_hem = existing_hem

      private

      def at_foot = foot_seam || seam

      def top_strip = take_out_top - seam * 2

      def foot_out = existing_length - take_out_top - from_the_top

      def foot_strip = foot_out - at_foot * 2

      # The seam above the made hem, its depth above the finish: as it hangs then, and on the curtain as it came.
      def hem_seam = from_the_top - existing_hem.depth

      def upper_foot = hem_seam + take_out_top

      def tuck_lines(where, upper, out, allowance)
        [
          line(:"#{where}_seam_line", :sew, upper),
          line(:"#{where}_strip_from", :cut, upper + allowance),
          line(:"#{where}_tuck_fold", :fold, upper + out / 2),
          line(:"#{where}_strip_to", :cut, upper + out - allowance),
          line(:"#{where}_other_seam_line", :sew, upper + out)
        ]
      end
    end

    Alterations.register(TopAndFoot::KIND, TopAndFoot)
  end
end
