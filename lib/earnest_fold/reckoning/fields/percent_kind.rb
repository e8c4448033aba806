# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module FieldKinds
      # A number of hundredths; whoever types it may say so.
      class PercentKind < NumberKind
        def take(typed, unit) = super(typed.delete_suffix("%").rstrip, unit)
      end
    end
  end
end
