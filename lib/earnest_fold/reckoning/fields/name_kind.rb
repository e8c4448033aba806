# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module FieldKinds
      # The name of a kind of a registry (a heading, an alteration): it decides which other fields there are.
      class NameKind < Value.define(:registry, :said)
        include Kind

        # Its own, before what kinds without words answer.
        attr_reader :said

        def read(raw, _unit, problems) = registry[raw] ? raw : problems.add(:not_a_choice, words: words)

        def words = registry.names

        def decides? = true

        def schema = {"enum" => words}
      end
    end
  end
end
