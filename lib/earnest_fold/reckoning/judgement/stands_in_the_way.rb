# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # What stands off the wall as far as the curtain's folds reach back, it catches on.
      module StandsInTheWay
        CODE = "stands_in_the_way"
        STATION = "measure"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        #
        #   Judgement::StandsInTheWay.call(seen) # => nil
        def self.call(seen)
          projection = seen.treatment.support.projection
          name, feature = seen.treatment.wall.standing_off.max_by { |_, standing| standing.stands_off }
          return unless projection && feature

          curtain = seen.likely_curtains.first
          back = projection - seen.heading.fold_depth(curtain.task, curtain.heading)
          {feature: name, stands_off: feature.stands_off, back: [back, Length::ZERO].max} if back <= feature.stands_off
        end
      end

      register(StandsInTheWay)
    end
  end
end
