# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # What can't be reckoned although each field can be read: "Refused before reckoning" in the rules.
    module Refusals
      MOST_WIDTHS = FieldKinds::WidthsKind::MOST

      module_function

      # @param treatment [Treatment]
      # @param problems [Problems] at the treatment's place
      #
      #   found = Problems.new
      #   Refusals.check(treatment, found)
      #   found.any? # => false
      def check(treatment, problems)
        treatment.heading.refuse(treatment.support, problems.within(:heading))
        drop(treatment, problems.within(:drop))
        face(treatment, problems)
        lining(treatment, problems) if treatment.lining
        counts(treatment, problems) unless problems.any?
      end

      def drop(treatment, problems)
        return problems.within(:measured_from).add(:point_unsuited) unless treatment.drop.suited?

        problems.add(:nothing_hangs) unless treatment.finished_drop.positive?
      end
      private_class_method :drop

      def face(treatment, problems)
        used_up(treatment.width_rule, problems.within(:making)) unless treatment.sideways?
        return if treatment.flat_needed.all?(&:positive?)

        problems.within(:heading).add(:nothing_needed)
      end
      private_class_method :face

      def lining(treatment, problems)
        lining = treatment.lining
        place = problems.within(:lining)
        used_up(treatment.lining_rule, place, side: :side_turn) unless LiningCut.sideways?(lining)
        place.within(:lift).add(:nothing_hangs) unless (treatment.finished_drop - lining.lift).positive?
      end
      private_class_method :lining

      # Selvedges, seams or side turnings that leave nothing of a width.
      #
      #   found = Problems.new
      #   Refusals.used_up(treatment.width_rule, found)
      #   found.any? # => false
      def used_up(rule, problems, side: :side)
        problems.within(side).add(:width_used_up) unless rule.single.positive?
        problems.within(:seam).add(:width_used_up) unless rule.between_seams.positive?
      end

      # Needs the curtains themselves, so it comes last and only where they can be reckoned.
      #
      #   found = Problems.new
      #   Refusals.counts(treatment, found)
      #   found.any? # => false
      def counts(treatment, problems)
        return problems.within(:making).add(:too_many_widths, most: MOST_WIDTHS) unless few_widths?(treatment)

        curtains = treatment.curtains
        unless curtains.all? { |curtain| curtain.flat_width.positive? }
          problems.within(:making).within(:widths).add(:width_used_up)
        end
        too_many_pleats(curtains, problems.within(:heading))
        too_many_marks(treatment.heading, curtains, problems.within(:heading))
        lining_targets(treatment, problems.within(:lining)) if treatment.lining
      end

      def few_widths?(treatment) = treatment.widths_needed.all? { |count| count <= MOST_WIDTHS }
      private_class_method :few_widths?

      def too_many_pleats(curtains, problems)
        if curtains.any? { |curtain| curtain.heading.fetch(:pleats, 0) > Heading::MOST_PLEATS }
          problems.add(:too_many_pleats, most: Heading::MOST_PLEATS)
        end
      end
      private_class_method :too_many_pleats

      # More than these, of whatever a heading counts, no drawing and no paper can show.
      MOST_MARKS = 2000

      # It stands at the figure by which they come again.
      #
      #   found = Problems.new
      #   Refusals.too_many_marks(treatment.heading, treatment.curtains, found)
      #   found.any? # => false
      def too_many_marks(heading, curtains, problems)
        counted = curtains.flat_map { |curtain| curtain.heading.values.grep(Integer) }
        return unless counted.any? { |count| count > MOST_MARKS }

        again = heading.class.fields.find { |field| field.kind.respond_to?(:finest) && field.kind.finest }
        (again ? problems.within(again.name) : problems).add(:too_many_marks, most: MOST_MARKS)
      end

      def lining_targets(treatment, problems)
        lining, targets = treatment.lining, treatment.lining_targets
        return problems.within(:inset).add(:nothing_needed) unless targets.all?(&:positive?)
        return if LiningCut.sideways?(lining)

        rule = treatment.lining_rule
        if targets.any? { |target| rule.least_for(target, 1) > MOST_WIDTHS }
          problems.add(:too_many_widths, most: MOST_WIDTHS)
        end
      end
      private_class_method :lining_targets
    end
  end
end
