# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # The Heading station: fullness, tape and hooks of a pencil pleat, drawn as it hangs.
      class Heading < Desk
        STATION = "heading"

        def self.paths(_spec) = %w[heading.fullness heading.hook_spacing heading.top_turn heading.tape_turn_in support.carriers]

        def fields = self.class.paths(spec).map { |path| field(path) }

        # The heading rules the cloth, so it is drawn before there is any: then at the fullness asked.
        # @return [Reckoning::Treatment, nil]
        def treatment = reckoning ? reckoning.treatment : sheet.before_cloth(entry)

        # @return [Reckoning::Curtain, nil]
        def curtain = super || (treatment && R::Curtain.asked(treatment, treatment.spans.first))

        # @return [String, nil] SVG
        def drawing = curtain && Drawings::Gathers.new(treatment.heading, curtain, unit, colour: colour).to_s

        # @return [Array<Reckoning::Length>] the hooks' places on the heading as it hangs
        def hooks = treatment.heading.marks(curtain.task, curtain.heading).map(&:at)
      end
    end
  end
end
