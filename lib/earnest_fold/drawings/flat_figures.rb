# frozen_string_literal: true

module EarnestFold
  module Drawings
    # All that a curtain's flat shape is made of, and nothing of how it hangs: what is drawn from these alone is the
    # same for as long as they are. `hem` and `side` are turnings, `phases` the half-drop's "A" or "B" of each width
    # from the leading edge, `seams` distances from there, and `inner` the lining as it lies over it (nil where it
    # doesn't).
    class FlatFigures < Reckoning::Value.define(
      :cut,
      :hand,
      :leads,
      :flat_width,
      :widths,
      :seams,
      :phases,
      :hem,
      :side,
      :pattern_start,
      :inner
    )
      R = Reckoning
      # A lining from the curtain's edges inwards: its own width, widths, seams and drop, and how far its foot stands
      # above the curtain's.
      Inner = R::Value.define(:inset, :lift, :flat_width, :widths, :seams, :drop)

      # @param made [Reckoning::TreatmentReckoning]
      # @param curtain [Reckoning::Curtain] one of its curtains
      # @param lining [Boolean] with the lining over it, where there is one
      # @return [FlatFigures]
      #
      #   Drawings::FlatFigures.of(reckoning, curtain).seams # => [1315 mm]
      def self.of(made, curtain, lining: false)
        making = made.treatment.making
        new(
          cut: made.drop_cut,
          hand: curtain.hand,
          leads: curtain.leads,
          flat_width: curtain.flat_width,
          widths: curtain.widths,
          seams: curtain.task.seams,
          phases: phases(made.treatment, curtain),
          hem: making.hem,
          side: making.side,
          pattern_start: made.pattern_start,
          inner: (lining && made.lining) ? inner(made, curtain) : nil
        )
      end

      def self.phases(treatment, curtain)
        shifts = treatment.width_rule.next_shifts?
        across = treatment.pattern.meet == "across" && curtain.hand == "right"
        Array.new(curtain.task.seams.size + 1) { |index| R::Repeat.phase(index, shifts, across) }
      end
      private_class_method :phases

      def self.inner(made, curtain)
        lining, place = made.lining, made.curtains.index(curtain)
        width, count = lining.targets[place], lining.counts[place]
        Inner.new(
          inset: lining.lining.inset,
          lift: lining.lining.lift,
          flat_width: width,
          widths: count,
          seams: lining.sideways? ? [] : lining.rule.seams(count).select { |seam| seam < width },
          drop: lining.drop_cut.finished
        )
      end
      private_class_method :inner

      # @return [Array<Reckoning::Length>] both edges and the seams, from the leading edge
      #
      #   Drawings::FlatFigures.of(reckoning, curtain).bounds # => [0 mm, 1315 mm, 2630 mm]
      def bounds = [R::Length::ZERO, *seams, flat_width]

      # @return [Boolean] whether its leading edge is at the right
      #
      #   Drawings::FlatFigures.of(reckoning, curtain).leads_right? # => true
      def leads_right? = leads == :right
    end
  end
end
