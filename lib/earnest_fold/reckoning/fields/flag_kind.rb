# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module FieldKinds
      # Yes or no.
      class FlagKind < Value.define
        include Kind

        def read(raw, _unit, problems) = [true, false].include?(raw) ? raw : problems.add(:not_yes_or_no)

        def show(kept, _unit) = kept ? "yes" : "no"

        def take(typed, _unit) = typed == "yes"

        def words = %w[no yes]

        def said = "choices"

        def schema = {"type" => "boolean"}
      end
    end
  end
end
