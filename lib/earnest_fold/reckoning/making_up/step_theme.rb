# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # How a step is declared: `does` takes the {MakingCase} and gives its {Operation}s, `with` are tools that no
      # operation says, `needs` the codes of what has to be done before it wherever both are done.
      class StepKind < Value.define(:code, :does, :with, :needs, :each, :draft)
        # Which tool an operation takes, unless it says otherwise.
        TOOLS = {
          press: %i[iron], fold: %i[gauge], pin: %i[pins], tack: %i[needle], mark: %i[tape chalk], cut: %i[shears],
          fuse: %i[iron], lock: %i[needle pins], lay: %i[table], measure: %i[tape], compare: %i[table tape],
          weigh: %i[needle], unpick: %i[needle]
        }.freeze
        SEWN_WITH = {machine: :machine, hand: :needle}.freeze
        private_constant :TOOLS, :SEWN_WITH

        # @param work [MakingCase, AlteringCase]
        # @return [Array<Draft>] none where it doesn't apply
        #
        #   MakingUp::Steps::Kinds.fetch("press_hem").drafts(making_case).map(&:curtain) # => ["left", "right"]
        def drafts(work)
          return [draft.call(work)].compact unless each

          work.each_curtain.filter_map { |hand, curtain| draft.call(work, curtain)&.with(curtain: hand) }
        end

        # @return [Array<Symbol>]
        #
        #   MakingUp::Steps::Kinds.fetch("press_hem").tools([MakingUp::Steps.op(:sew, :face, by: :hand)]) # => [:needle]
        def tools(operations) =
          operations
            .flat_map { |one| (one.deed == :sew) ? [SEWN_WITH.fetch(one.by)] : TOOLS.fetch(one.deed, []) }
            .union(with)

        # @return [Symbol] the bench that it takes: :table, :press, :machine or :hands
        #
        #   MakingUp::Steps::Kinds.fetch("press_hem").bench([MakingUp::Steps.op(:press, :face)]) # => :press
        def bench(operations)
          deeds = operations.map(&:deed)
          return :table if (deeds & %i[lay compare cut mark]).any?
          return :machine if operations.any? { |one| one.by == :machine }

          (deeds & %i[press fuse]).any? ? :press : :hands
        end
      end

      # What a theme of steps is written with.
      # @api private
      module StepTheme
        # @param code [String]
        # @param does [Proc] takes the case; gives its operations
        # @yield [work, curtain] its {Draft}, nil where it doesn't apply; of each curtain
        def each_curtain(code, does, with: [], needs: [], &draft) = step(code, does, with, needs, true, draft)

        # The same, of all curtains together.
        # @yield [work]
        def once(code, does, with: [], needs: [], &draft) = step(code, does, with, needs, false, draft)

        # @return [Operation]
        #
        #   MakingUp::Steps.op(:press, :face, at: :hem).edge # => :hem
        def op(deed, *layers, at: nil, by: nil) = Operation.new(deed: deed, layers: layers, edge: at, by: by)

        # @param figures [Hash] those that are nil are left out
        # @param said [Array<Symbol>] which words; what is nil or false is left out
        # @return [Draft]
        #
        #   MakingUp::Steps.done({hem: Length.cm(8), lift: nil}).figures # => {:hem=>80 mm}
        def done(figures, said: [:do], check: nil, times: {}, widths: nil)
          Draft.new(
            curtain: nil,
            figures: figures.compact,
            said: said.select(&:itself),
            check: check,
            times: times,
            widths: widths
          )
        end

        # @return [Measured]
        #
        #   MakingUp::Steps.check(:drop, Length.cm(213), Length.mm(3)).planned # => 2130 mm
        def check(name, planned, tolerance, **more) =
          Measured.new(name: name, planned: planned, tolerance: tolerance, **more)

        # @return [Measured] of what is to be right at both edges of a curtain
        #
        #   MakingUp::Steps.at_both_edges(:drop, Length.cm(213), Length.mm(3)).places # => ["leading", "return"]
        def at_both_edges(name, planned, tolerance) = check(name, planned, tolerance, places: EDGES)

        # @return [Measured] of what is to be right at both edges and in the middle
        #
        #   MakingUp::Steps.across(:drop, Length.cm(213), Length.mm(3)).places # => ["leading", "middle", "return"]
        def across(name, planned, tolerance) = check(name, planned, tolerance, places: ACROSS)

        # @return [Rational]
        #
        #   MakingUp::Steps.metres(Length.cm(263)) # => (263/100)
        def metres(length) = length.mm / 1000

        # How an allowance is folded: its press lines from the raw edge.
        # @param allowance [Allowance]
        # @return [Hash{Symbol => Length}] `first_press` and `second_press`; a fold without a turn-under has one line
        #
        #   MakingUp::Steps.folded(treatment.making.hem).values # => [80 mm, 160 mm]
        def folded(allowance)
          return {first_press: allowance.depth, second_press: allowance.taken} if allowance.kind == "double"
          return {first_press: allowance.depth} if allowance.turn_under.zero?

          {first_press: allowance.turn_under, second_press: allowance.taken}
        end

        # @return [Symbol] the words for such a fold: :double, :turned_under or :single
        #
        #   MakingUp::Steps.fold_words(treatment.making.hem) # => :double
        def fold_words(allowance)
          return :double if allowance.kind == "double"

          allowance.turn_under.zero? ? :single : :turned_under
        end

        private

        def step(code, does, with, needs, each, draft)
          kind = StepKind.new(code: code, does: does, with: with, needs: needs, each: each, draft: draft)
          self::Kinds.register(code, kind)
        end
      end

      # The steps by which a treatment is made.
      module Steps
        Kinds = Registry.new(:code, :drafts)
        extend StepTheme
      end

      # The steps of alterations.
      module AlteringSteps
        Kinds = Registry.new(:code, :drafts)
        extend StepTheme
      end
    end
  end
end
