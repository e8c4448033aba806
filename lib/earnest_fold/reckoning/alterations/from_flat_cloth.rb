# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # A curtain from a ready flat cloth (a throw, a canvas sheet) whose edges are hemmed already: its own hem becomes
    # the hem. Both directions are compared. Where nobody says how wide it is to be, so many cloths are taken as they
    # are, and no fullness is asked.
    class FromFlatCloth < Value.define(
      :cloth_width,
      :cloth_length,
      :finished_width,
      :fullness,
      :wanted_length,
      :stand_up,
      :top_allowance,
      :cloths,
      :edge_finish,
      :top_made,
      :clips,
      :top_stiffening
    )
      include Alteration
      include TopAnew

      # One direction: across the cloth's width, or across its length.
      Way = Value.define(:cloths, :cut_line, :remnant, :fullness, :fits)

      KIND = "from_flat_cloth"
      # How its cut edge is kept from fraying.
      FINISHES = %w[pinked overcast zigzag].freeze
      MEASURED = Declare.at(
        "measure",
        cloth_length: Declare.length(least: :over_zero, sane: AskedOfCurtain::SANE),
        cloth_width: Declare.length(least: :over_zero),
        finished_width: Declare.length(nil, least: :over_zero),
        cloths: Declare.count(nil, least: 1, most: 40),
        **AskedOfCurtain::WANTED
      )
      FIELDS = Fields.new(
        **MEASURED,
        **Declare.at(
          "alter",
          top_allowance: AskedOfCurtain::TOP,
          fullness: Declare.starting("2", [FieldKinds::FullnessKind.new, nil]),
          edge_finish: Declare.choice(FINISHES, nil, said: "edge_finishes")
        ),
        **TopAnew::FIELDS
      )
      private_constant :MEASURED
      EXAMPLE = {
        "kind" => KIND,
        "cloth_width" => "200 cm",
        "cloth_length" => "340 cm",
        "finished_width" => "240 cm",
        "fullness" => "1.4",
        "wanted_length" => "188 cm",
        "top_allowance" => "9 cm"
      }.freeze

      def self.place = 100

      # @return [Fields] with the direction of the cloth, which is its to choose
      #
      #   FromFlatCloth.all_fields.names.include?(:way) # => true
      def self.all_fields =
        @all_fields ||= Fields.new(**Declare.at("alter", way: OwnCurtain::FIELDS.declared.fetch(:way))) + super

      def figures = {ways: [way(cloth_width, cloth_length), way(cloth_length, cloth_width)]}

      def checks
        return [] if figures[:ways].any?(&:fits)

        missing = figures[:ways].map { |way| -way.remnant }.min
        [stop("cloth_too_short", "wanted_length", "top_allowance", missing: missing)]
      end

      def working
        [
          *from_the_top_line,
          *([Line.of(:flat_needed, needed, [finished_width, "×", fullness.ratio])] if needed),
          Line.of(:cut_from_hem, cut_line, [from_the_top, "+", top_allowance])
        ]
      end

      # The way asked for, or the one that fits with the fewest cloths, the fuller of two alike.
      # @param curtain [OwnCurtain]
      # @return [Way, nil]
      #
      #   altered("from_flat_cloth").chosen(own_curtains).cloths # => 1
      def chosen(curtain)
        asked = curtain.way && figures[:ways][OwnCurtain::WAYS.index(curtain.way)]
        asked || figures[:ways].select(&:fits).min_by { |way| [way.cloths, -(way.fullness || 0)] }
      end

      # Its own hem stays the hem, so everything runs from there.
      # @param curtain [OwnCurtain]
      #
      #   altered("from_flat_cloth").lines(own_curtains).map(&:name) # => [:top_fold, :cut_line]
      def lines(_curtain) = [line(:top_fold, :fold, from_the_top, :hem), line(:cut_line, :cut, cut_line, :hem)]

      def extent(curtain) = (chosen(curtain) == figures[:ways].last) ? cloth_width : cloth_length

      def across(curtain) = (chosen(curtain) == figures[:ways].last) ? cloth_length : cloth_width

      def edges = {top: :new, sides: :kept, hem: :kept}

      def left_over(curtain) = chosen(curtain)&.fits ? chosen(curtain).remnant : Length::ZERO

      # Its top is where the cut falls.
      #
      #   altered("from_flat_cloth").motif_after(Length.cm(30), own_curtains) # => 180 mm
      def motif_after(place, curtain) =
        (place - left_over(curtain) - top_allowance).then { |after| after.negative? ? nil : after }

      def cloths_joined(curtain) = chosen(curtain)&.cloths || 1

      def cut_edge = edge_finish

      def ways = figures[:ways]

      def as_it_came(curtain) = extent(curtain)

      private

      def needed = finished_width && fullness && finished_width * fullness.ratio

      def cut_line = from_the_top + top_allowance

      def way(across, along)
        count = cloths || (needed ? (needed / across).ceil : 1)
        remnant = along - cut_line
        Way.new(
          cloths: count,
          cut_line: cut_line,
          remnant: remnant,
          fullness: finished_width && across * count / finished_width,
          fits: !remnant.negative?
        )
      end
    end

    Alterations.register(FromFlatCloth::KIND, FromFlatCloth)
  end
end
