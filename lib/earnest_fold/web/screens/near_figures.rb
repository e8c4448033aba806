# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # The figures that are nearest to another answer, each with a ruler and what lies beyond its edges.
      class NearFigures
        R = Reckoning
        # Those that are looked at, in this order.
        PATHS = %w[heading.fullness drop.readings support.length opening.cover face.width heading.glider_spacing].freeze
        MOST = 4
        # One as it is shown; `below` and `above` say how far, what comes then, and what that takes more or less.
        Shown = R::Value.define(:label, :at, :drawing, :below, :above)

        # @param reckoning [Reckoning::TreatmentReckoning]
        # @param unit [Reckoning::Unit]
        def initialize(reckoning, unit)
          @treatment, @unit = reckoning.treatment, unit
          @now = R::Nearness::Outcome.new(reckoning)
        end

        # @return [Array<Shown>] none where nothing is near
        def shown = nearest.first(MOST).map { |near| show(near) }

        private

        def nearest
          figures = R::Nearness.figures(@treatment, @unit).select { |one| PATHS.include?(one.path) }
          found = figures.map { |one| R::Nearness.near(@now, one, R::Nearness::COUNTED) }
          found.select { |one| one.edges.any? }.sort_by { |one| PATHS.index(one.figure.path) }
        end

        def show(near)
          below, above = %i[below above].map { |side| Words::Nearness.side(near, side, @now, @unit) }
          called = label(near.figure.path)
          says = [called, *below, *above].reject(&:empty?).join(" ")
          Shown.new(
            label: called,
            at: Words::Nearness.at(near, @unit),
            drawing: Drawings::NearRuler.new(near, says: says).to_s,
            below: below,
            above: above
          )
        end

        # What it hangs from is called by its name.
        def label(path) =
          (path == "support.length") ? Words.say("supports.#{@treatment.support.kind}") : Words.field_label(path)
      end
    end
  end
end
