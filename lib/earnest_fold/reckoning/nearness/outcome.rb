# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Nearness
      # What a treatment comes to, as far as cloth or counts hang on it: the answer that stays or changes while a figure
      # moves.
      class Outcome
        # @return [TreatmentReckoning]
        attr_reader :reckoning

        # @param treatment [Treatment]
        # @param laid [Hash] what was needed already, by what is cut
        # @return [Outcome, nil] nil where it can't be reckoned
        #
        #   Nearness::Outcome.of(treatment, {}).curtains.size # => 2
        def self.of(treatment, laid)
          problems = Problems.new
          Refusals.check(treatment, problems)
          problems.any? ? nil : new(TreatmentReckoning.new(treatment), laid)
        end

        # @param reckoning [TreatmentReckoning]
        # @param laid [Hash]
        def initialize(reckoning, laid = {})
          @reckoning, @laid = reckoning, laid
        end

        # @return [Hash{Symbol => Object}] what a maker would call another answer: `widths` by curtain (run sideways
        #   none), `inner_widths` of lining and interlining, `repeats` in a cut length, `counts` that a tape or pleats
        #   dictate by curtain, and the `lengths` to order by cloth
        #
        #   Nearness::Outcome.new(reckoning).parts[:widths] # => {"left"=>(2/1), "right"=>(2/1)}
        def parts = {**counted, lengths: lengths}

        # @return [Hash{Symbol => Object}] the same without the lengths to order
        #
        #   Nearness::Outcome.of(treatment, {}).counted[:repeats] # => 8
        def counted
          @counted ||= {
            widths: treatment.sideways? ? {} : by_hand(&:widths),
            inner_widths: inner.to_h { |cut| [cut.cloth.id, cut.counts] },
            repeats: repeats,
            counts: by_hand { |curtain| treatment.heading.dictated(curtain.heading) }
          }
        end

        # @param other [Outcome]
        # @param ordered [Boolean] whether another length to order is another answer too
        # @return [Boolean] whether it is the same answer
        #
        #   Nearness::Outcome.of(treatment, {}).same?(Nearness::Outcome.of(lined, {}), false) # => false
        def same?(other, ordered) = counted == other.counted && (!ordered || lengths == other.lengths)

        # @param other [Outcome]
        # @param part [Symbol] one of {#parts}
        # @return [Boolean] whether there is more of it here
        def more?(other, part) = more(other, part).positive?

        # @return [Rational, Length] how much more of a part there is here, all curtains or cloths together
        def more(other, part) = summed(part) - other.summed(part)

        # @return [Rational, Integer, Length]
        def summed(part)
          case part
          when :repeats then repeats || 0
          when :lengths then lengths.values.sum(Length::ZERO)
          else figures_in(counted.fetch(part)).sum(0r)
          end
        end

        # @return [Hash{String => Length}] to order of each cloth, by its id
        #
        #   Nearness::Outcome.new(reckoning).lengths # => {"plain"=>10400 mm}
        def lengths = @lengths ||= needed.to_h { |cloth, length| [cloth.id, cloth.to_order(length)] }

        # @return [Rational, nil] what all of it costs, unrounded; nil where a price is unknown
        #
        #   Nearness::Outcome.new(reckoning).cost # => (962/5)
        def cost
          costs = needed.keys.map { |cloth| cloth.cost(lengths.fetch(cloth.id)) }
          costs.sum unless costs.include?(nil)
        end

        # What is rounded up on the way to the answer, before it is: where each comes to its next whole number is a good
        # guess at where the answer changes.
        # @param ordered [Boolean] whether the lengths to order are among them
        # @return [Array<Rational>] in the same order for every outcome of one treatment
        def amounts(ordered) = [
          *(ordered ? needed.map { |cloth, length| length / cloth.order_step } : []),
          *(treatment.face.repeats? ? [reckoning.cut_drop / treatment.face.vertical_repeat] : []),
          *curtains.flat_map { |curtain| treatment.width_rule.amounts(curtain.flat_needed) }
        ]

        # Where two outcomes of one figure decide alike all that is rounded or compared on the way to the answer, every
        # amount between them runs one way only, and so does the answer.
        # @param other [Outcome] of the same figure moved on
        # @param ordered [Boolean]
        # @return [Boolean] whether everything between the two gives the same as both; false also where that isn't sure
        def alike_up_to?(other, ordered) =
          counted == other.counted && decided == other.decided && same?(other, ordered) &&
            unlike(other).all? { |one, two| treatment.heading.dictates_alike?(one.task, two.task, one.heading) }

        # Besides the answer itself.
        # @return [Array]
        def decided =
          @decided ||= [
            treatment.width_rule.repeats_across,
            treatment.lining_rule&.repeats_across,
            curtains.map { |curtain| ways(curtain) }
          ]

        # @return [Treatment]
        def treatment = reckoning.treatment

        # @return [Array<Curtain>]
        def curtains = reckoning.curtains

        private

        # Curtains that measure the same have the same figures, here and there.
        def unlike(other) =
          curtains.zip(other.curtains).uniq { |pair| pair.map { |curtain| curtain.heading.object_id } }

        def figures_in(value) = value.is_a?(Hash) ? value.values.flat_map { |one| figures_in(one) } : Array(value)

        def inner = [reckoning.lining, reckoning.interlining].compact

        def by_hand = curtains.to_h { |curtain| [curtain.hand, yield(curtain)] }

        def ways(curtain) = [
          curtain.flat_needed <=> curtain.flat_width,
          curtain.span.return_flat.zero?,
          curtain.span.lead_flat.zero?
        ]

        # In one cut length of the face, where it repeats and is cut up the drop.
        def repeats
          cloth = treatment.face
          (cloth.repeats? && !treatment.sideways?) ? (reckoning.cut_length / cloth.vertical_repeat).to_i : nil
        end

        # @return [Hash{Cloth => Length}] what it needs of each cloth
        def needed
          @needed ||= @laid[what_is_cut] ||=
            Cutting::Demand.by_cloth([reckoning]).to_h do |id, cuts|
              cloth = cloths.find { |one| one.id == id }
              [cloth, ClothReckoning.new(cloth, cuts).length_needed]
            end
        end

        # Where all of it is as before, as much is needed: what is laid takes longer than all the rest.
        def what_is_cut = [
          treatment.face.id,
          treatment.face.width.mm,
          treatment.sideways? ? reckoning.lengths_along : curtains.map(&:widths),
          treatment.width_rule.next_shifts?,
          reckoning.cut_drop.mm,
          reckoning.pattern_start.mm,
          inner.map { |one| inner_cut(one) }
        ]

        def inner_cut(one) = [
          one.cloth.id,
          one.cloth.width.mm,
          one.sideways? ? one.lengths_along : one.counts,
          one.drop_cut.cut_drop.mm
        ]

        def cloths = [treatment.face, *inner.map(&:cloth)]
      end
    end
  end
end
