# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # A measured figure that lies within what a tape can be misread by of one that takes more cloth, or another count
      # that the heading dictates: it is measured again before anything is ordered. More of what is measured never takes
      # less, so only more is looked at; another order step alone is no matter.
      module NearEdge
        CODE = "near_edge"
        STATION = %w[measure cloth].freeze
        MANNER = :ask
        MISREAD = Length.mm(3)
        FIGURES = %w[support.length opening.cover return_left return_right drop.readings].freeze
        # What is told first, where several change.
        TOLD = %i[widths inner_widths repeats counts].freeze

        module_function

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        #
        #   Judgement::NearEdge.call(seen) # => nil
        def call(seen)
          return unless seen.reckoning

          now = Nearness::Outcome.new(seen.reckoning)
          reaches = reaches(now.treatment)
          return if reaches.empty? || sure?(now, reaches)

          found = reaches.filter_map { |figure, reach| near(now, figure, reach) }
          found.min_by { |told| [TOLD.index(told[:form]), told[:apart]] }
        end

        # @param treatment [Treatment]
        # @return [Hash{Nearness::Figure => Integer}] what was measured, each with the millimetres by which it may be
        #   more than was read
        #
        #   Judgement::NearEdge.reaches(treatment).map { |figure, reach| reach } # => [3, 3, 3, 6]
        def reaches(treatment) =
          FIGURES
            .select { |path| measured?(treatment, path) }
            .to_h { |path| [Nearness.figure(path, :measured, Units::MM), misread(treatment, path)] }

        # As more never takes less, none of them alone takes more where all of them together don't.
        # @param now [Nearness::Outcome]
        # @param reaches [Hash{Nearness::Figure => Integer}]
        # @return [Boolean] whether nothing that is told lies within reach
        #
        #   Judgement::NearEdge.sure?(Nearness::Outcome.new(reckoning), []) # => true
        def sure?(now, reaches)
          outcome = Nearness::Outcome.of(most(now.treatment, reaches), {})
          !outcome.nil? && told(now.treatment).none? { |part| outcome.more?(now, part) }
        end

        # Each of them is a member of its own: all change at once.
        def most(treatment, reaches) =
          treatment.with(**reaches.map { |figure, reach| figure.change(treatment, reach) }.reduce({}, :merge))
        private_class_method :most

        def near(now, figure, reach)
          treatment = now.treatment
          edge = Nearness.edge(now, figure, 1, reach, Nearness::COUNTED)
          form = edge&.outcome && told(treatment).find { |part| edge.outcome.more?(now, part) } or return
          at = Length.mm(figure.at(treatment))
          {form: form, figure: figure.path, at: at, apart: Length.mm(edge.apart), more: edge.outcome.more(now, form)}
        end
        private_class_method :near

        # A pleat more takes no cloth: only what hangs on the support's hardware is told.
        #
        #   Judgement::NearEdge.told(treatment) # => [:widths, :inner_widths, :repeats]
        def told(treatment) = treatment.heading.dictates? ? TOLD : TOLD - %i[counts]

        # Whoever ordered width or drop has decided what was measured.
        #
        #   Judgement::NearEdge.measured?(treatment, "support/length") # => false
        def measured?(treatment, path)
          decided = (path == "drop.readings") ? treatment.ordered.finished_drop : treatment.ordered.finished_width
          decided.nil? && Nearness.there?(treatment, path)
        end

        # @return [Integer] millimetres
        #
        #   Judgement::NearEdge.misread(treatment, "support/length") # => 3
        def misread(treatment, path)
          (path == "drop.readings") ? [MISREAD, treatment.drop.spread].max.mm.ceil : MISREAD.mm.to_i
        end
      end

      register(NearEdge)
    end
  end
end
