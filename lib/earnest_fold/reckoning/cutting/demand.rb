# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Cutting
      # One cut along a cloth. `start` is the distance from a repeat line at which it begins; nil where it may begin anywhere
      # (plain cloth, or run sideways). `phase` is "A", "B" or nil.
      Cut = Value.define(:treatment, :curtain, :number, :phase, :start, :length)

      # Everything that a job's treatments need of one cloth.
      module Demand
        module_function

        # @param reckonings [Array<TreatmentReckoning>]
        # @param cloth [Cloth]
        # @return [Array<Cut>] by treatment: face, lining, interlining
        def of(reckonings, cloth)
          reckonings.flat_map do |reckoning|
            face(reckoning, cloth) + lining(reckoning, cloth) + interlining(reckoning, cloth)
          end
        end

        def face(reckoning, cloth)
          return [] unless reckoning.treatment.face.id == cloth.id
          return sideways(reckoning, reckoning.lengths_along) if reckoning.treatment.sideways?

          up_the_drop(reckoning, cloth, reckoning.cuts, reckoning.cut_drop, reckoning.pattern_start)
        end

        # Linings and interlinings each start on a repeat line.
        def lining(reckoning, cloth)
          made = reckoning.lining
          return [] unless made && made.cloth.id == cloth.id
          return sideways(reckoning, made.lengths_along) if made.sideways?

          up_the_drop(reckoning, cloth, made.cuts, made.drop_cut.cut_drop, Length::ZERO)
        end

        def interlining(reckoning, cloth)
          made = reckoning.interlining
          return [] unless made && made.cloth.id == cloth.id

          up_the_drop(reckoning, cloth, made.cuts, made.drop_cut.cut_drop, Length::ZERO)
        end

        def sideways(reckoning, lengths)
          reckoning.curtains.zip(lengths).map do |curtain, length|
            Cut.new(treatment: reckoning.id, curtain: curtain.hand, number: 1, phase: nil, start: nil, length: length)
          end
        end

        def up_the_drop(reckoning, cloth, widths, length, start)
          widths.map do |width|
            Cut.new(treatment: reckoning.id, curtain: width.curtain, number: width.number, length: length,
              phase: cloth.repeats? ? width.phase : nil, start: start(cloth, start, width.phase))
          end
        end

        def start(cloth, first, phase)
          return unless cloth.repeats?

          (phase == "B") ? (first + cloth.vertical_repeat / 2) % cloth.vertical_repeat : first
        end
      end
    end
  end
end
