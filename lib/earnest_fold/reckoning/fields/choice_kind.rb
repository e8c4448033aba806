# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module FieldKinds
      # One of a few words; `said` is where they stand in the locale file.
      class ChoiceKind < Value.define(:words, :said)
        include Kind

        # Its own, before what kinds without words answer.
        attr_reader :words, :said

        def initialize(words:, said: nil) = super

        def read(raw, _unit, problems) = words.include?(raw) ? raw : problems.add(:not_a_choice, words: words)

        def schema = {"enum" => words}
      end
    end
  end
end
