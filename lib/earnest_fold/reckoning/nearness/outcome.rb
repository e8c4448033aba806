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
        # @param laid [Hash] what was reckoned already of the same treatment
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
        #
        #   Nearness::Outcome.new(reckoning).more?(Nearness::Outcome.new(lined.reckon), :widths) # => false
        def more?(other, part) = more(other, part).positive?

        # @return [Rational, Length] how much more of a part there is here, all curtains or cloths together
        #
        #   Nearness::Outcome.new(reckoning).more(Nearness::Outcome.new(lined.reckon), :lengths) # => -9200 mm
        def more(other, part) = summed(part) - other.summed(part)

        # @return [Rational, Integer, Length]
        #
        #   Nearness::Outcome.new(reckoning).summed(:lengths) # => 10400 mm
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
          costs = needed.map { |cloth, _| cloth.cost(lengths.fetch(cloth.id)) }
          costs.sum unless costs.include?(nil)
        end

        # What is rounded on the way to the answer, before it is, and how far it has come in another outcome: where each
        # comes to its next whole number is a good guess at where the answer changes.
        # @param other [Outcome] of the same figure moved on
        # @param ordered [Boolean] whether the lengths to order are among them
        # @return [Array<(Rational, Rational)>]
        #
        #   Nearness::Outcome.new(reckoning).rounded(Nearness::Outcome.new(reckoning), true).size # => 3
        def rounded(other, ordered) = [
          *repeats_rounded.zip(other.repeats_rounded),
          *unlike(other).flat_map { |one, two| counts_rounded(one, one).zip(other.counts_rounded(two, one)) },
          *((counted[:widths] == other.counted[:widths]) ? inner_rounded(other) : []),
          *((ordered && counted == other.counted) ? lengths_rounded.zip(other.lengths_rounded) : [])
        ]

        # Where two outcomes of one figure decide alike all that is rounded or compared on the way to the answer, every
        # amount between them runs one way only, and so does the answer.
        # @param other [Outcome] of the same figure moved on
        # @param ordered [Boolean]
        # @return [Boolean] whether everything between the two gives the same as both; false also where that isn't sure
        #
        #   Nearness::Outcome.new(reckoning).alike_up_to?(Nearness::Outcome.new(reckoning), true) # => true
        def alike_up_to?(other, ordered) =
          counted == other.counted && decided == other.decided && same?(other, ordered) &&
            unlike(other).all? { |one, two| treatment.heading.dictates_alike?(one.task, two.task, one.heading) }

        # Besides the answer itself.
        # @return [Array]
        #
        #   Nearness::Outcome.new(reckoning).decided.first # => 0
        def decided =
          @decided ||= [
            treatment.width_rule.repeats_across,
            treatment.lining_rule&.repeats_across,
            curtains.map { |curtain| ways(curtain) }
          ]

        # @return [Treatment]
        #
        #   Nearness::Outcome.new(reckoning).treatment.id # => "office"
        def treatment = reckoning.treatment

        # @return [Array<Curtain>]
        #
        #   Nearness::Outcome.new(reckoning).curtains.size # => 2
        def curtains = reckoning.curtains

        protected

        # Where every other width stands half a repeat lower, halves tell.
        def repeats_rounded
          face = treatment.face
          return [] unless face.repeats?

          repeats = reckoning.cut_drop / face.vertical_repeat
          face.half_drop? ? [repeats, repeats * 2] : [repeats]
        end

        def counts_rounded(curtain, as_made) =
          Curtain.amounts(treatment, curtain.flat_needed) +
            treatment.heading.counted_from(curtain.task, as_made.heading)

        def inner_rounded(other)
          step = treatment.making.step
          inner
            .zip(other.inner)
            .reject { |one, two| one.targets == two.targets && one.rule == two.rule }
            .flat_map { |one, two| one.amounts(step).zip(two.amounts(step)).uniq }
        end

        def lengths_rounded = @lengths_rounded ||= needed.map { |cloth, length| length / cloth.order_step }

        def inner = [reckoning.lining, reckoning.interlining].compact

        private

        # Curtains that measure the same have the same figures, here and there; those that no figure moved are the same.
        def unlike(other) =
          curtains.zip(other.curtains)
            .reject { |one, two| one.equal?(two) }
            .uniq { |pair| pair.map { |curtain| curtain.heading.object_id } }

        def figures_in(value) = value.is_a?(Hash) ? value.values.flat_map { |one| figures_in(one) } : Array(value)

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

        # @return [Array<(Cloth, Length)>] what it needs of each: laid once, as that takes longer than all the rest
        def needed
          @needed ||= cloths.map do |cloth|
            [cloth, @laid[what_is_cut(cloth)] ||= ClothReckoning.of(cloth, [reckoning]).length_needed]
          end
        end

        def what_is_cut(cloth) = [
          cloth.id,
          cloth.width.mm,
          *(face_cut if treatment.face.id == cloth.id),
          *inner.filter_map { |one| inner_cut(one) if one.cloth.id == cloth.id }
        ]

        def face_cut = [
          treatment.sideways? ? reckoning.lengths_along : curtains.map(&:widths),
          treatment.width_rule.next_shifts?,
          reckoning.cut_drop.mm,
          reckoning.pattern_start.mm
        ]

        def inner_cut(one) = [one.sideways? ? one.lengths_along : one.counts, one.drop_cut.cut_drop.mm]

        def cloths = [treatment.face, *inner.map(&:cloth)].uniq(&:id)
      end
    end
  end
end
