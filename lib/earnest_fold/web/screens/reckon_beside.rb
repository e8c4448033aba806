# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # What was reckoned beside every other heading, and the cloth run the other way.
      class ReckonBeside < Reckon
        # One of them: its words, its figures, what stands in its way, and its address.
        Beside = R::Value.define(:words, :choice, :stops, :address)

        # @return [Array<Beside>]
        def others
          return [] unless reckoning

          found = R::Choices.headings(reckoning, ->(kind) { set.heading(kind.kind, unit) }) +
            R::Choices.sideways(reckoning)
          found.map { |choice| other(choice) }
        end

        # @return [Reckoning::Choice] as it is
        def as_it_is = R::Choices.choice(:heading, spec.dig("heading", "kind"), reckoning, chosen: true)

        # @return [String, nil] SVG: the heading; nil where it is the same
        def icon(choice) = (choice.kind == :heading) ? HeadingIcons.of(R::Headings.fetch(choice.name)) : nil

        def page_title = Words.say("reckon.beside_title")

        private

        def set = sheet.rule_set(entry) || sheet.settled.first_set

        def other(choice)
          path, root = (choice.kind == :heading) ? %w[heading.kind headings] : %w[run reckon.runs]
          Beside.new(
            words: Words.say("#{root}.#{choice.name}"),
            choice: choice,
            stops: choice.reckoning.checks.select(&:stop?).map { |check| Words.check(check, unit) },
            address: Paths.reckon(asked_for.merge(was).merge(path => choice.name))
          )
        end
      end
    end
  end
end
