# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # What is cut off is long enough for another.
      module OneMakesTwo
        CODE = "one_makes_two"
        STATION = "alter"
        MANNER = :say
        # The least that a taped top takes.
        TOP = Length.mm(40)

        # @param seen [AlterCase]
        # @return [Hash, nil]
        #
        #   Judgement::OneMakesTwo.altering(seen_altered) # => nil
        def self.altering(seen)
          rest = seen.made.left_over
          need = seen.alteration.from_the_top + TOP
          return if rest < need || seen.alteration.pieces_made > 1

          {
            rest: rest,
            need: need,
            form: (seen.alteration.edges[:hem] == :new && !seen.let_down?) ? :hem_kept : :sides_kept
          }
        end
      end

      register(OneMakesTwo)
    end
  end
end
