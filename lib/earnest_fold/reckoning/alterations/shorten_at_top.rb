# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # Shortened by a tuck under the heading band, so that a border or a print rises and the heading is kept.
    class ShortenAtTop < Value.define(:existing_length, :wanted_length, :stand_up, :remove, :seam)
      include Alteration

      KIND = "shorten_at_top"
      FIELDS = Fields.new(
        **AskedOfCurtain::LENGTHS,
        **Declare.at("alter", seam: AskedOfCurtain::SEAM, remove: Declare.length(least: :over_zero))
      )
      EXAMPLE = {
        "kind" => KIND,
        "existing_length" => "244 cm",
        "wanted_length" => "176 cm",
        "remove" => "41 cm",
        "seam" => "2 cm"
      }.freeze

      def self.place = 30

      def self.shortens? = true

      def figures = {tuck_fold: remove / 2, pattern_rises: remove, strip: strip, left_at_hem: left_at_hem}

      def checks
        [
          (stop("tuck_too_small", "seam", "remove", strip: strip, least: seam * 2) if strip.negative?),
          (too_much_removed if left_at_hem.negative?)
        ].compact
      end

      def too_much_removed =
        stop("too_much_removed", "remove", short: -left_at_hem, most: existing_length - from_the_top)
      private :too_much_removed

      def working
        [
          *from_the_top_line,
          Line.of(:tuck_fold, remove / 2, [remove, "÷", 2]),
          Line.of(:strip, strip, [remove, "−", 2, "×", seam]),
          Line.of(:left_at_hem, left_at_hem, [existing_length, "−", remove, "−", from_the_top])
        ]
      end

      # @param curtain [OwnCurtain]
      #
      #   altered("shorten_at_top").lines(own_curtains).map(&:name).first(2) # => [:seam_line, :strip_from]
      def lines(curtain)
        upper = curtain.band
        foot = left_at_hem.positive? ? [line(:new_foot, :mark, existing_length - left_at_hem)] : []
        [
          line(:seam_line, :sew, upper),
          line(:strip_from, :cut, upper + seam),
          line(:tuck_fold, :fold, upper + remove / 2),
          line(:strip_to, :cut, upper + remove - seam),
          line(:other_seam_line, :sew, upper + remove),
          *foot
        ]
      end

      # What is still too long at the hem is another alteration.
      #
      #   altered("shorten_at_top").length_at_last # => 2030 mm
      def length_at_last = existing_length - remove

      def contradictions = longer_than_it_is

      def left_over(_curtain) = [strip, Length::ZERO].max

      # What hangs below the tuck rises.
      #
      #   altered("shorten_at_top").motif_after(Length.cm(150), own_curtains) # => 1090 mm
      def motif_after(place, curtain)
        return place if place < curtain.band

        (place > curtain.band + remove) ? place - remove : nil
      end

      def top_tuck = Tuck.new(remove: remove, seam: seam, strip: strip)

      def rise = remove

      private

      def strip = remove - seam * 2

      def left_at_hem = existing_length - remove - from_the_top
    end

    Alterations.register(ShortenAtTop::KIND, ShortenAtTop)
  end
end
