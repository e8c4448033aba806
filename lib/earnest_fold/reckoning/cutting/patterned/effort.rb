# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Cutting
      module Patterned
        # How much work a search may do. Counted, not timed: the same cuts always lead to the same plan.
        # @api private
        class Effort
          # @return [Integer]
          attr_reader :spent

          # @param most [Integer] small steps
          def initialize(most)
            @most, @spent, @told = most, 0, 0
          end

          # @param steps [Integer]
          def spend(steps) = @spent += steps

          # @return [Boolean]
          def over? = @spent > @most

          # @param steps [Integer]
          # @return [Boolean] once, each time that so much more is spent
          def after?(steps) = @told < (@told = @spent / steps)
        end
      end
    end
  end
end
