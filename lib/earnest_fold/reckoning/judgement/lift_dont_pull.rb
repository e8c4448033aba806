# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # Heavy cloth is lifted to the table, not pulled.
      module LiftDontPull
        CODE = "lift_dont_pull"
        STATION = "making"
        STEP = %w[lock_in_lining lock_interlining table_lining bag_lining turn_sides mark_drop].freeze
        MANNER = :caution

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          if seen.reckoning&.mass && each_mass(seen) > seen.house.lift_limit
            {mass: each_mass(seen), limit: seen.house.lift_limit}
          end
        end

        # @return [Rational] kilograms of one curtain, about
        def self.each_mass(seen) = seen.reckoning.mass / seen.curtains.size
      end

      register(LiftDontPull)
    end
  end
end
