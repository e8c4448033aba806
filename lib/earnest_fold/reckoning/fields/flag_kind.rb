# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module FieldKinds
      # Yes or no.
      class FlagKind < Value.define
        def read(raw, _unit, problems) = [true, false].include?(raw) ? raw : problems.add(:not_yes_or_no)

        def schema = {"type" => "boolean"}
      end
    end
  end
end
