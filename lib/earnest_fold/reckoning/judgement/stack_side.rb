# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # A curtain drawn one way stacks on one side: it has to suit the room.
      module StackSide
        CODE = "stack_side"
        STATION = "measure"
        MANNER = :ask

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          side = {"one_way_left" => "left", "one_way_right" => "right"}[seen.treatment.opening.kind]
          {side: side} if side
        end
      end

      Rules.register(StackSide::CODE, StackSide)
    end
  end
end
