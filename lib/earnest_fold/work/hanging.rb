# frozen_string_literal: true

module EarnestFold
  module Work
    # What hanging a treatment takes: the lengths to check, what is carried, which edges lead, in which order it is done
    # and what is measured at the end.
    class Hanging
      R = Reckoning
      # How far it may be off as it hangs.
      TOLERANCE = R::Length.mm(5)

      # @param job [Job]
      # @param work [Treatment] that is reckoned
      def initialize(job, work)
        @job, @work = job, work
      end

      # @return [Array<String>] the curtains
      #
      #   work.hanging(in_hand).hands # => ["left", "right"]
      def hands = @work.hands

      # @return [Array<Told>] what is done, one after the other: the support, each layer from the glass to the room and
      #   each curtain of it from its return edge, the dressing, the last checks
      #
      #   work.hanging(in_hand).order.map(&:key).first # => "hanging.first.track"
      def order = [first_check, *hung, *dressing, *tied_back, Told.of(drawn? ? "hanging.last" : "hanging.last_fixed")]

      # @return [Hash{Symbol => Integer, Reckoning::Length}] small parts to carry: what isn't made into the curtain
      #
      #   work.hanging(in_hand).carried.keys # => [:hooks]
      def carried = R::Sundries.of(reckoning).reject { |name, _| R::Sundries::BY_NAME.fetch(name).sewn_in }

      # @return [Array<Array(String, Told)>] each curtain with the edge that leads
      #
      #   work.hanging(in_hand).edges.map(&:first) # => ["left", "right"]
      def edges = reckoning.curtains.map { |curtain| [curtain.hand, Told.of("hanging.leads_#{curtain.leads}")] }

      # @return [Array<Array(Told, Reckoning::Length)>] the lengths to check when it hangs
      #
      #   work.hanging(in_hand).lengths.size # => 6
      def lengths =
        [
          *supports,
          *above_floor,
          *measured,
          [Told.of("work_figures.finished_drop"), reckoning.finished_drop],
          *stand_up,
          *pin_setting,
          *clearance,
          *reckoning.curtains.map { |curtain| [width_of(curtain), curtain.span.finished_width] }
        ]

      # @return [Reckoning::MakingUp::Measured] what is measured of each curtain, at both edges: what clears the foot
      #   where that is known, else its drop
      #
      #   work.hanging(in_hand).check.planned # => 10 mm
      def check
        name, planned = hangs_by
        R::MakingUp::Measured.new(name: name, planned: planned, tolerance: TOLERANCE, places: R::MakingUp::EDGES)
      end

      private

      def reckoning = @work.reckoning

      def treatment = reckoning.treatment

      def several_supports? = treatment.supports.size > 1

      # @return [Boolean] whether it is ever closed: a dress pair isn't
      def drawn? = treatment.opening.kind != "dress_pair"

      def hangs_by
        offset = treatment.drop.offset
        offset.negative? ? [:clearance, offset.abs] : [:finished_drop, reckoning.finished_drop]
      end

      def supports
        length = treatment.supports.first or return []
        [[Told.of(several_supports? ? "hanging.each_support" : "hanging.support"), length]]
      end

      def first_check
        length, kind = treatment.supports.first, treatment.support.kind
        return Told.of("hanging.first_of_two", support: kind, length: length) if several_supports?

        Told.of("hanging.first.#{kind}#{"_unmeasured" unless length}", length: length)
      end

      def hung =
        @job
          .layers(@work)
          .select(&:reckoning)
          .flat_map { |layer| put_up(layer.title, layer.reckoning) }

      def put_up(title, made) =
        PuttingUp.new(
          title: title,
          heading: made.treatment.heading,
          support: made.treatment.support.kind,
          curtains: made.curtains
        ).order

      def tied_back = (one = reckoning.tieback) ? [Told.of("hanging.tie_back", count: one.count)] : []

      def dressing =
        treatment.heading.dressed? ? [Told.of("hanging.dress", days: @work.house.diary.setting_days)] : []

      def width_of(curtain) = Told.of(drawn? ? "hanging.width_of" : "hanging.fixed_width_of", hand: curtain.hand)

      # Where somebody else measured, nobody here knows what.
      def measured =
        treatment.ordered.finished_drop ? [] : [[Told.of("hanging.height"), treatment.drop.shortest]]

      # Where the support's height was measured: how high it is, and where the foot comes to hang.
      def above_floor
        height = treatment.support.height or return []
        foot = height + treatment.drop.stand_up - reckoning.finished_drop
        [[Told.of("hanging.above_floor"), height], [Told.of("hanging.foot_above"), foot]]
      end

      # How the top edge stands to the point that was measured from, and to the hook: each where there is something to
      # say.
      def stand_up = apart(treatment.drop.stand_up, "hanging.stand_down", "hanging.stand_up")

      def pin_setting
        pins = treatment.heading.rise(treatment.drop.points, treatment.support)
        (treatment.heading.bears_on == :hook && pins&.positive?) ? [[Told.of("hanging.pin_setting"), pins]] : []
      end

      # How far it is to end above what the drop was measured to, or to lie on it.
      def clearance = apart(treatment.drop.offset, "hanging.clears", "hanging.lies_on")

      def apart(length, below, above) =
        if length.zero?
          []
        else
          [[Told.of(length.negative? ? below : above), length.abs]]
        end
    end
  end
end
