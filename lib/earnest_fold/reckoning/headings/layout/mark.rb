# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # A mark along a heading, from the leading edge: where a pleat begins, a hook sits, a seam runs. `along` is :flat
    # (on the flat curtain) or :hung (on the heading as it hangs); `to` is nil for a point.
    Mark = Value.define(:kind, :along, :at, :to)
  end
end
