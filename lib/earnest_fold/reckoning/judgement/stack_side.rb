# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # A curtain drawn one way stacks on one side, and one that stacks before the glass keeps light out: it has to
      # suit the room.
      module StackSide
        CODE = "stack_side"
        STATION = "measure"
        MANNER = :ask

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        #
        #   Judgement::StackSide.call(seen) # => nil
        def self.call(seen)
          side = {"one_way_left" => "left", "one_way_right" => "right"}[seen.treatment.opening.kind]
          stacks = StackBack.of(seen.treatment, seen.likely_curtains, seen.house)
          clear = stacks.glass_clear(seen.treatment.wall.glass)
          if clear && clear < seen.treatment.wall.glass.width
            return {form: :glass, clear: clear, glass: seen.treatment.wall.glass.width}
          end

          {form: :side, side: side, stack: stacks.widest} if side
        end
      end

      register(StackSide)
    end
  end
end
