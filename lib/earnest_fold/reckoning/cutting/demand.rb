# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Cutting
      # One cut along a cloth. `start` is the distance from a repeat line at which it begins; nil where it may begin
      # anywhere (plain cloth, or run sideways). `phase` is "A", "B" or nil.
      Cut = Value.define(:treatment, :curtain, :number, :phase, :start, :length)

      # Everything that a job's treatments need of one cloth.
      module Demand
        module_function

        # @param reckonings [Array<TreatmentReckoning>]
        # @return [Hash{String => Array<Cut>}] by the cloth's id, then by treatment: face, lining, interlining
        #
        #   Cutting::Demand.by_cloth([reckoning]).values.first.size # => 4
        def by_cloth(reckonings)
          reckonings.each_with_object(Hash.new { |cuts, id| cuts[id] = [] }) do |reckoning, cuts|
            cuts[reckoning.treatment.face.id].concat(face(reckoning))
            [reckoning.lining, reckoning.interlining].compact.each do |made|
              cuts[made.cloth.id].concat(inner(reckoning, made))
            end
          end
        end

        # @param cloth [Cloth]
        # @return [Array<Cut>] of that cloth alone
        #
        #   Cutting::Demand.of([reckoning], cloth).map(&:curtain) # => ["left", "left", "right", "right"]
        def of(reckonings, cloth)
          reckonings.flat_map do |reckoning|
            inner = [reckoning.lining, reckoning.interlining].compact.select { |made| made.cloth.id == cloth.id }
            [
              *(face(reckoning) if reckoning.treatment.face.id == cloth.id),
              *inner.flat_map { |made| inner(reckoning, made) }
            ]
          end
        end

        # @param cloth [Cloth]
        # @return [Array<Cut>] those that are slit for one curtain alone, so that their other half is left over
        #
        #   Cutting::Demand.slit([reckoning], cloth) # => []
        def slit(reckonings, cloth)
          of(reckonings, cloth).select do |cut|
            made = reckonings.find { |one| one.id == cut.treatment }
            counts(made, cloth).any? do |hand, count|
              cut.curtain == hand && count.denominator != 1 && cut.number == count.ceil
            end
          end
        end

        # @return [Hash{String => Rational}] widths by curtain of the part that is made of the cloth; none run sideways
        #
        #   Cutting::Demand.counts(reckoning, cloth) # => {"left"=>(2/1), "right"=>(2/1)}
        def counts(reckoning, cloth)
          inner = [reckoning.lining, reckoning.interlining].compact.find { |one| one.cloth.id == cloth.id }
          face = reckoning.treatment.face.id == cloth.id
          return {} if face ? reckoning.treatment.sideways? : inner.nil? || inner.sideways?

          reckoning.curtains.map(&:hand).zip(face ? reckoning.curtains.map(&:widths) : inner.counts).to_h
        end

        def face(reckoning)
          return sideways(reckoning, reckoning.lengths_along) if reckoning.treatment.sideways?

          up_the_drop(reckoning, reckoning.treatment.face, reckoning.cuts, reckoning.cut_drop, reckoning.pattern_start)
        end
        private_class_method :face

        # Linings and interlinings each start on a repeat line.
        #
        #   Cutting::Demand.inner(lined.reckon, lined.reckon.lining).size # => 4
        def inner(reckoning, made)
          return sideways(reckoning, made.lengths_along) if made.sideways?

          up_the_drop(reckoning, made.cloth, made.cuts, made.drop_cut.cut_drop, Length::ZERO)
        end

        def sideways(reckoning, lengths)
          reckoning.curtains.zip(lengths).map do |curtain, length|
            Cut.new(treatment: reckoning.id, curtain: curtain.hand, number: 1, phase: nil, start: nil, length: length)
          end
        end
        private_class_method :sideways

        def up_the_drop(reckoning, cloth, widths, length, start)
          starts = {"A" => start(cloth, start, "A"), "B" => start(cloth, start, "B")}
          widths.map do |width|
            Cut.new(treatment: reckoning.id, curtain: width.curtain, number: width.number, length: length,
              phase: cloth.repeats? ? width.phase : nil, start: starts[width.phase])
          end
        end
        private_class_method :up_the_drop

        def start(cloth, first, phase)
          return unless cloth.repeats?

          (phase == "B") ? (first + cloth.vertical_repeat / 2) % cloth.vertical_repeat : first
        end
        private_class_method :start
      end
    end
  end
end
