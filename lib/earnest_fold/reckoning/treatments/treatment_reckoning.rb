# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # A treatment reckoned: its curtains, its drop, its linings, its cuts, and what the checks say of it. Made by
    # {Treatment#reckon}; everything in it is exact and frozen, and what not everyone asks for is reckoned when first
    # asked.
    class TreatmentReckoning
      # @return [Treatment]
      attr_reader :treatment
      # @return [DropCut] of the face
      attr_reader :drop_cut
      # @return [Array<Curtain>] from left to right
      attr_reader :curtains
      # @return [LiningCut, nil]
      attr_reader :lining
      # @return [InterliningCut, nil]
      attr_reader :interlining

      # @param treatment [Treatment] one that {Refusals} lets pass
      def initialize(treatment)
        @treatment = treatment
        @drop_cut = treatment.drop_cut
        @curtains = treatment.curtains
        @lining = treatment.lining && LiningCut.of(treatment, finished_drop, @curtains)
        @interlining = treatment.interlining && InterliningCut.of(treatment, finished_drop, @curtains)
      end

      # @return [String] the treatment's
      #
      #   reckoning.id # => "office"
      def id = treatment.id

      # @return [Array<WidthCut>] the face's widths
      #
      #   reckoning.cuts.map(&:curtain) # => ["left", "left", "right", "right"]
      def cuts = @cuts ||= face_cuts.freeze

      # @return [Length]
      #
      #   reckoning.finished_drop # => 2128 mm
      def finished_drop = drop_cut.finished

      # @return [Length]
      #
      #   reckoning.cut_drop # => 2328 mm
      def cut_drop = drop_cut.cut_drop

      # @return [Length]
      #
      #   reckoning.cut_length # => 2560 mm
      def cut_length = drop_cut.cut_length

      # @return [Integer] widths of face cloth to cut; sideways, the number of curtains
      #
      #   reckoning.widths_total # => 4
      def widths_total = cuts.size

      # @return [Array<Length>, nil] per curtain, where the face runs sideways
      #
      #   reckoning.lengths_along # => nil
      def lengths_along =
        treatment.sideways? ? curtains.map { |curtain| curtain.cut_width / treatment.face.after_shrinking } : nil

      # @return [Rational, nil] kilograms of the whole treatment; nil where a cloth's mass is unknown
      #
      #   reckoning.mass # => (79443/25000)
      def mass = defined?(@mass) ? @mass : @mass = masses

      # @param curtain [Curtain]
      # @return [Length] how wide its lining is cut; there has to be one
      #
      #   lined.reckon.lining_cut_width(lined.reckon.curtains.first) # => 2670 mm
      def lining_cut_width(curtain) = lining.targets[curtains.index(curtain)] + treatment.lining.side_turn * 2

      # How far the face of a bagged curtain comes round at each side: as it was measured on the first curtain, else as
      # it is to be expected ({BaggedLining#wrap}).
      # @return [Length]
      #
      #   lined.reckon.wrap # => 15 mm
      def wrap
        return treatment.wrap_measured if treatment.wrap_measured

        curtain = curtains.first
        BaggedLining.new(
          face_cut: curtain.cut_width,
          lining_cut: lining_cut_width(curtain),
          seam: treatment.making.side.turn_under
        ).wrap
      end

      # @return [String, nil] the id of the tape that its heading takes
      #
      #   reckoning.tape # => nil
      def tape = treatment.tape

      # @return [Hash{Symbol => Integer, Length}] what it needs beside cloth ({Sundries})
      #
      #   reckoning.sundries # => {:weights=>6, :hooks=>28, :tape_length=>5380 mm}
      def sundries = @sundries ||= Sundries.of(self).freeze

      # @return [Tieback, nil] all that tie back its curtains
      #
      #   given({"tieback" => SmallParts["tieback"].example}).reckon.tieback&.girth # => 520 mm
      def tieback = @tieback ||= treatment.tieback&.for(treatment)

      # @param curtain [Curtain]
      # @return [Frill, nil] the strip that puffs up above its tape
      #
      #   reckoning.frill(curtain) # => nil
      def frill(curtain)
        above = treatment.heading.frill_above or return
        Frill.new(heading_length: curtain.flat_width, frill: above, seam: treatment.making.seam, count: 1)
      end

      # @param curtain [Curtain]
      # @return [Length, nil] how long the stiffening of its top is: between the side turnings; nil where there is none
      #
      #   reckoning.stiffening_length(curtain) # => nil
      def stiffening_length(curtain) =
        treatment.heading.stiffened && curtain.flat_width - treatment.making.side.depth * 2

      # @return [Integer, nil] carriers that all its curtains need
      #
      #   reckoning.carriers_needed # => 28
      def carriers_needed
        counts = curtains.map { |curtain| treatment.heading.carriers(curtain.heading) }
        counts.sum unless counts.include?(nil)
      end

      # @return [Length] the start of a width of phase A in the repeat
      #
      #   reckoning.pattern_start # => 0 mm
      def pattern_start = Repeat.start(treatment.pattern, drop_cut)

      # @return [Array<Ordered::Beside>] what was ordered, beside what the rules make of it
      #
      #   given({"ordered" => {"widths" => "3"}}).reckon.ordered.map(&:name) # => [:widths, :widths]
      def ordered = @ordered ||= treatment.ordered.beside(self).freeze

      # @return [Array<Check>] the most serious first
      #
      #   given({"making/widths" => "1"}).reckon.checks.map(&:code) # => ["fullness_thin"]
      def checks = @checks ||= Checks.of(self).freeze

      # @return [Array<Line>] how the figures came about, in the order a maker would write them
      #
      #   reckoning.working.map(&:name).first(2) # => [:finished_width, :flat_needed]
      def working = @working ||= TreatmentWorking.new(self).lines.freeze

      private

      def masses
        faces = curtains.map { |curtain| Mass.of(treatment.face, curtain.cut_width, drop_cut.made) }
        Mass.sum(faces + [lining, interlining].compact.map(&:mass))
      end

      def face_cuts
        rule = treatment.width_rule
        across = treatment.pattern.meet == "across" && treatment.opening.kind == "pair"
        shares = curtains.map do |curtain|
          WidthsToCut::Share.new(
            hand: curtain.hand,
            leads: curtain.leads,
            count: curtain.widths,
            across: across && curtain.hand == "right"
          )
        end
        WidthsToCut.new(treatment.face, !treatment.sideways? && rule.next_shifts?, shares).list
      end
    end
  end
end
