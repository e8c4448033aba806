# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # The Heading station: the kind of heading with the fields it declares, drawn from its own marks, and the counts
      # near the one used.
      class Heading < Desk
        STATION = "heading"
        TIEBACK = R::Tieback::AT_WINDOW.names.map { |name| "tieback.#{name}" }.freeze

        def kinds = field("heading.kind")

        # @return [Array<Field>] those of the kind, then what of the support matters to it
        def fields =
          @fields ||=
            (Work::SpecFields.heading_paths(spec) + support_paths).map { |path| field(path) }

        # @return [Array<Field>] of what ties the curtains back
        def tieback_fields = @tieback_fields ||= TIEBACK.map { |path| field(path) }

        # @return [Reckoning::Tieback, nil]
        def tieback = reckoning&.tieback || treatment&.tieback&.for(treatment)

        # @return [Integer] figures here that depart from the house's rules
        def departures = ruled.departures(Work::SpecFields.heading_paths(spec))

        # The heading rules the cloth, so it is drawn before there is any: then at the fullness asked.
        # @return [Reckoning::Curtain, nil]
        def curtain = @curtain ||= super || (treatment && R::Curtain.asked(treatment, treatment.spans.first))

        # @return [String, nil] SVG
        def drawing
          return unless curtain

          drawn = Drawings.of_heading(treatment.heading)
          once(:heading, part) { drawn.new(treatment.heading, curtain, unit, colour: colour).to_s }
        end

        # @return [String, nil] SVG: from above, closed and drawn back
        def plan =
          curtain &&
            once(:heading_plan, part) do
              Drawings::HeadingPlan.new(treatment, curtain, unit, house: house).to_s
            end

        # @return [Array<Reckoning::Mark>] in order from the leading edge
        def marks = @marks ||= treatment.heading.marks(curtain.task, curtain.heading)

        # @return [Array<Array(String, Object)>] the heading's own figures, as people call them
        def figures
          curtain.heading.compact.map { |name, value| [name, Words.say("figures.#{name}"), value] }
        end

        # @return [Array<Reckoning::NearCount>]
        def near_counts = treatment.heading.near_counts(curtain.task, curtain.heading)

        # @return [String, nil] the field that takes a count, where one does
        def count_path = (field = treatment.heading.count_field) && "heading.#{field}"

        def pleats_given? = !spec.dig("heading", "pleats").nil?

        # @return [String] what a near count gives, in few words
        def detail(near)
          near
            .detail
            .except(:fits)
            .compact
            .first(2)
            .map { |name, value| "#{Words.say("figures.#{name}")} #{Words.figure(value, unit)}" }
            .join(", ")
        end

        private

        def support_paths = R::Headings.fetch(spec.dig("heading", "kind")).asks_of_support
      end
    end
  end
end
