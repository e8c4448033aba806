# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # A count near the one used, and what it gives: `flat` the flat width it needs, `fullness` what that makes,
    # `detail` the lengths and counts that change with it.
    NearCount = Value.define(:count, :chosen, :flat, :fullness, :detail)
  end
end
