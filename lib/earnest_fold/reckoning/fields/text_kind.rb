# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module FieldKinds
      # Words of a person; an id must say something.
      TextKind = Value.define(:least, :most) do
        include Kind

        def read(raw, _unit, problems)
          return problems.add(:not_text) unless raw.is_a?(String) && raw.valid_encoding? && !raw.include?("\u0000")
          return problems.add(:empty) if raw.strip.size < least
          return problems.add(:too_much_text, most: most) if raw.size > most

          raw
        end

        def longest = most

        def schema = {"type" => "string", "minLength" => least, "maxLength" => most}
      end
    end
  end
end
