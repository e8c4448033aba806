# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module FieldKinds
      # One of a few words.
      ChoiceKind = Value.define(:words) do
        def read(raw, _unit, problems) = words.include?(raw) ? raw : problems.add(:not_a_choice, words: words)

        def schema = {"enum" => words}
      end
    end
  end
end
