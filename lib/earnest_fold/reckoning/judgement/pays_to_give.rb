# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # A fullness hardly less that saves a width: what giving so much saves.
      module PaysToGive
        CODE = "pays_to_give"
        STATION = "cloth"
        MANNER = :say
        # So much of the fullness is hardly seen.
        LITTLE = 1/20r

        module_function

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        #
        #   Judgement::PaysToGive.call(seen) # => nil
        def call(seen)
          return unless seen.reckoning && Nearness.there?(seen.treatment, "heading.fullness")

          now = Nearness::Outcome.new(seen.reckoning)
          figure = Nearness.figure("heading.fullness", :chosen, Units::MM)
          asked = figure.at(seen.treatment)
          edge = Nearness.edge(now, figure, -1, (asked * LITTLE / figure.step).floor, Nearness::COUNTED)
          return unless edge&.outcome && now.more?(edge.outcome, :widths)

          {asked: asked, given: edge.beyond, **saved(now, edge.outcome, seen.treatment.face)}
        end

        def saved(now, then_, face)
          money = face.cost(now.lengths.fetch(face.id) - then_.lengths.fetch(face.id))
          {
            form: money ? :priced : nil,
            widths: now.more(then_, :widths),
            length: now.lengths.fetch(face.id) - then_.lengths.fetch(face.id),
            money: money,
            sold_by: face.sold_by
          }.compact
        end
        private_class_method :saved
      end

      register(PaysToGive)
    end
  end
end
