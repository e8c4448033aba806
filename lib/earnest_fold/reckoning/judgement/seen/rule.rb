# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # A step at which something is done to something: where a rule looks whether it has anything to say. `material` is
    # nil for what is no cloth.
    Touch = Value.define(:step, :operation, :layer, :material) do
      # @return [Hash{Symbol => Object}] the step's figures
      #
      #   touch = Touch.new(step: steps.first, operation: nil, layer: :face, material: cloth)
      #   touch.figures.keys # => [:cut_drop, :cuts, :selvedge]
      def figures = step.figures
    end

    module Judgement
      # Which operations a rule looks at: any of its deeds, at any of its edges, on any of its layers, by hand or by
      # machine, on a material that is so; nil is any.
      Touching = Value.define(:deeds, :edges, :layers, :by, :of) do
        # @param operation [MakingUp::Operation]
        # @return [Boolean] whether it is looked at
        #
        #   Judgement.on(:press, at: :hem).match?(MakingUp::Steps.op(:press, :face, at: :hem)) # => true
        def match?(operation) =
          deeds.include?(operation.deed) && any?(edges, operation.edge) && any?(by, operation.by) &&
            (layers.nil? || operation.layers.intersect?(layers))

        # @param touch [Touch]
        # @return [Boolean] whether it is on such a layer, of such a material
        #
        #   touch = Touch.new(step: nil, operation: nil, layer: :lining, material: nil)
        #   Judgement.on(:press, layer: :face).of?(touch) # => false
        def of?(touch) =
          any?(layers, touch.layer) && (of.nil? || (!touch.material.nil? && !!touch.material.public_send(of)))

        private

        def any?(wanted, there) = wanted.nil? || wanted.include?(there)
      end

      # One rule: `made` looks at a {JudgementCase}, `altered` at an {AlterCase}; nil where it doesn't speak of such
      # work.
      Rule = Value.define(:code, :manner, :stations, :made, :altered, :touching, :touched) do
        # @param seen [JudgementCase, AlterCase]
        # @param step [MakingUp::Step]
        # @return [Hash, nil] the facts where it has something to say at that step
        #
        #   Judgement::Rules["fraying"].at(seen, steps.first) # => nil
        def at(seen, step)
          step.operations.each do |operation|
            next unless touching.match?(operation)

            operation.layers.each do |layer|
              touch = Touch.new(step: step, operation: operation, layer: layer, material: seen.material(layer))
              facts = touching.of?(touch) ? touched.call(seen, touch) : nil
              return facts if facts
            end
          end
          nil
        end

        # @param station [String, nil] any
        # @return [Boolean] whether it speaks there
        #
        #   Judgement.speaking("hanging", []).first.at?("hanging") # => true
        def at?(station) = station.nil? || stations.include?(station)

        # @param answers [Array<String>] the codes of the questions that have been answered
        # @return [Boolean] whether it is a question that was
        #
        #   Judgement::Rules.find { |rule| rule.manner == :ask }.then { |rule| rule.answered?([rule.code]) } # => true
        def answered?(answers) = manner == :ask && answers.include?(code)
      end
    end
  end
end
