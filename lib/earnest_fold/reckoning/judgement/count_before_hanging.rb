# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # Everything small is counted into the bag.
      module CountBeforeHanging
        CODE = "count_before_hanging"
        STATION = "hanging"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        #
        #   Judgement::CountBeforeHanging.call(seen) # => {:hooks=>28}
        def self.call(seen)
          {hooks: hooks(seen)} if seen.reckoning
        end

        def self.hooks(seen) = seen.curtains.sum { |curtain| curtain.heading[:hooks] || curtain.heading[:rings] || 0 }
        private_class_method :hooks
      end

      register(CountBeforeHanging)
    end
  end
end
