# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # What the stations of somebody's own curtain have in common: their fields, their working and their remarks are
      # an alteration's.
      module Altering
        R = Reckoning
        # Kinds of hem that nobody has said yet, and what that means.
        OPEN = {"hem.kind" => "hem_as_it_came", "existing_hem.kind" => "hem_not_said"}.freeze

        # @return [Reckoning::AlterationOfJob, nil]
        def made = entry.reckoning

        # @return [nil] there is no treatment
        def treatment = nil

        def hardware = []

        def checks = entry.checks_at(station)

        def working = made ? made.alteration.working : []

        def colour = Store::Records::UNDYED

        def face = nil

        # @return [Field]
        def kinds = field("kind")

        # @return [Array<Store::CameIn::Note>] what was noted when the curtains came in
        def notes_made = @notes || []

        private

        # As far as they say anything: only a single turning has something turned under, and no turning a depth.
        # @param fields [Array<Reckoning::Field>]
        # @return [Array<Field>] those inside others instead of them
        def asked_of(fields) = fields.flat_map { |one| asked_paths(one) }.map { |path| asked_field(path) }

        def asked_paths(field)
          inner = field.kind.inner(spec[field.key]) or return [field.key]
          inner.paths(spec[field.key]).map { |path| "#{field.key}.#{path}" } & said_of(field)
        end

        # Of a heading that came nothing is asked of how it was made.
        def heading_asked
          paths = Work::SpecFields.heading_paths(spec)
          came = R::Alterations.fetch(entry.altered_as).include?(R::NothingCut)
          paths -= R::NothingCut::OF_MAKING.map { |name| "heading.#{name}" } if came
          paths.unshift("heading.kind")
        end

        # What may be left open, though the record that it stands in may not.
        def asked_field(path)
          return field(path) unless OPEN.key?(path)

          words = R::Allowance::KINDS.to_h { |word| [word, Words.say("turnings.#{word}")] }
          field(path, options: {"" => Words.say("alter.#{OPEN.fetch(path)}")}.merge(words))
        end

        def said_of(field)
          return heading_asked if field.key == "heading"

          R::Allowance.asks(spec.dig(field.key, "kind")).map { |name| "#{field.key}.#{name}" }
        end

        def said_here = entry.said_at(station, sheet, noted: notes_made.any?)
      end
    end
  end
end
