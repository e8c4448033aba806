# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # Lengthened: the hem let down and faced, and beyond that a band laid on at the foot.
    class Lengthen < Value.define(:existing_length, :wanted_length, :stand_up, :existing_hem, :let_down, :seam)
      include Alteration

      KIND = "lengthen"
      FIELDS = Fields.new(
        **AskedOfCurtain::LENGTHS,
        **Declare.at("measure", existing_hem: Declare.allowance),
        **Declare.at(
          "alter",
          let_down: AskedOfCurtain::LET_DOWN,
          seam: AskedOfCurtain::SEAM
        )
      )
      EXAMPLE = {
        "kind" => KIND,
        "existing_length" => "198 cm",
        "wanted_length" => "214 cm",
        "existing_hem" => {"kind" => "double", "depth" => "8 cm"},
        "let_down" => true,
        "seam" => "1.5 cm"
      }.freeze

      # @return [Lengthen, nil] nil where a hem is let down of which nobody has said how deep it is
      #
      #   Lengthen.build({let_down: true, existing_hem: Allowance::NONE}, Problems.new) # => nil
      def self.build(values, problems)
        if values[:let_down] && values[:existing_hem].taken.zero?
          return problems.within(:existing_hem).add(:missing)
        end

        super
      end

      def figures = {longest_faced: longest_faced, band: band}

      def working
        faced = let_down ? [available, "−", seam] : [existing_length]
        [*from_the_top_line, Line.of(:longest_faced, longest_faced, faced),
          *(Line.of(:band, band, [from_the_top, "−", longest_faced, "+", 2, "×", seam]) unless band.zero?)]
      end

      def contradictions =
        if from_the_top <= existing_length
          at = %w[wanted_length existing_length]
          [stop("shorter_than_curtain", *at, wanted: from_the_top, existing: existing_length)]
        else
          []
        end

      # @param curtain [OwnCurtain]
      #
      #   altered("lengthen").lines(own_curtains).map(&:name) # => [:old_foot, :band_seam, :new_fold]
      def lines(_curtain)
        old = let_down ? [line(:old_foot, :mark, existing_length)] : []
        faced = (let_down && band.zero?) ? [line(:facing_seam, :sew, from_the_top)] : []
        banded = band.zero? ? [] : [line(:band_seam, :sew, longest_faced), line(:new_fold, :fold, from_the_top)]
        [*old, *faced, *banded]
      end

      def extent(_curtain) = available

      def edges
        foot = let_down ? :faced : :kept
        {top: :kept, sides: :kept, hem: band.zero? ? foot : :banded}
      end

      def added_to_foot = band.zero? ? {facing_seam: from_the_top} : {band: band, band_seam: longest_faced}

      private

      def longest_faced = let_down ? available - seam : existing_length

      def band = (from_the_top > longest_faced) ? from_the_top - longest_faced + seam * 2 : Length::ZERO
    end

    Alterations.register(Lengthen::KIND, Lengthen)
  end
end
