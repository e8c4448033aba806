# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # An offcut that is long enough still makes something.
      module KeepOffcuts
        CODE = "keep_offcuts"
        STATION = "cutting"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          kept(seen.cutting.leftover, seen.house) if seen.cutting&.leftover
        end

        def self.kept(leftover, house) = leftover.along.between?(house.offcut_least, Cutting::Uses::LONG) ? {along: leftover.along, across: leftover.across} : nil
      end

      Rules.register(KeepOffcuts::CODE, KeepOffcuts)
    end
  end
end
