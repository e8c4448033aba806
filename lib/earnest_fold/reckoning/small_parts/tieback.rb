# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # A band round the dressed curtain: folded to its centre and in half, so that no raw edge is left, or turned
    # through.
    class Tieback < Value.define(:girth, :ease, :finished_depth, :end_turn, :make, :seam, :fastening, :count)
      include SmallPart

      KIND = "tieback"
      MAKES = %w[folded turned_through].freeze
      # What holds it to the wall: a ring at each end, or a strip that sticks to another.
      FASTENINGS = %w[rings hook_and_loop].freeze
      FIELDS = Fields.new(
        girth: Declare.length(least: :over_zero),
        ease: Declare.length(Length::ZERO),
        finished_depth: Declare.length(least: :over_zero),
        end_turn: Declare.length(Length::ZERO),
        make: Declare.choice(MAKES, "folded"),
        seam: Declare.length(Length::ZERO),
        fastening: Declare.choice(FASTENINGS, "rings"),
        count: Declare.count(2, least: 1, most: 1000)
      )
      EXAMPLE = {
        "kind" => KIND,
        "girth" => "52 cm",
        "ease" => "4 cm",
        "finished_depth" => "6 cm",
        "end_turn" => "1.5 cm"
      }.freeze

      # What is asked of the tiebacks of a treatment: there are none before both their sizes are known.
      AT_WINDOW = Fields.new(
        girth: Declare.length(nil, least: :over_zero),
        finished_depth: Declare.length(nil, least: :over_zero),
        ease: Declare.length(Length::ZERO),
        end_turn: Declare.length(Length::ZERO),
        make: Declare.choice(MAKES, "folded", said: "tieback_makes"),
        fastening: Declare.choice(FASTENINGS, "rings", said: "tieback_fastenings"),
        count: Declare.count(nil, least: 1, most: 1000)
      )
      # As it is asked for: how many and with what seam follow from the treatment.
      Wanted = Value.define(*AT_WINDOW.names) do
        # @param treatment [Treatment]
        # @return [Tieback] one for each curtain where nobody says otherwise
        #
        #   given("tieback" => {"girth" => "40 cm", "finished_depth" => "10 cm"}).tieback.for(treatment).count # => 2
        def for(treatment) =
          Tieback.new(**to_h, seam: treatment.making.seam, count: count || treatment.spans.size)
      end

      # @return [Array] the field of a treatment, as {Declare} has them
      #
      #   Tieback.at_window.last # => nil
      def self.at_window =
        Declare.record(AT_WINDOW, nil) { |values, _| Wanted.new(**values) if values[:girth] && values[:finished_depth] }

      # @return [Length]
      #
      #   small_part("tieback").length # => 590 mm
      def length = finished_length + end_turn * 2

      # @return [Hash{Symbol => Integer, Length}] what all of them are fastened by
      #
      #   small_part("tieback").fastened_by # => {:tieback_rings=>4}
      def fastened_by =
        (fastening == "rings") ? {tieback_rings: 2 * count} : {hook_and_loop: finished_depth * count}

      # @return [Length]
      #
      #   small_part("tieback").depth # => 240 mm
      def depth = (make == "folded") ? finished_depth * 4 : finished_depth * 2 + seam * 2

      def working
        [
          Line.of(:tieback_finished, finished_length, [girth, "+", ease]),
          Line.of(:part_length, length, [finished_length, "+", 2, "×", end_turn]),
          Line.of(
            :part_depth,
            depth,
            (make == "folded") ? [4, "×", finished_depth] : [2, "×", finished_depth, "+", 2, "×", seam]
          )
        ]
      end

      # @return [Length] round the dressed curtain
      #
      #   small_part("tieback").finished_length # => 560 mm
      def finished_length = girth + ease
    end

    SmallParts.register(Tieback::KIND, Tieback)
  end
end
