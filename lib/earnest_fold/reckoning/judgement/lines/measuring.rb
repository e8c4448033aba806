# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # At the window, before anything is asked.
    module Judgement
      # Cloth above a worktop, a radiator or a cooker.
      caution("above_worktop", "measure") do |seen|
        wall = seen.treatment.wall
        next {form: :heat, clear: seen.house.heat_gap} if seen.treatment.site.heat_near || wall.radiator

        {form: :worktop, clear: seen.house.clearance} if worktop?(seen.treatment)
      end

      # @return [Boolean] whether it ends above a worktop
      #
      #   Judgement.worktop?(treatment) # => false
      def self.worktop?(treatment) = treatment.drop.measured_to == "worktop" || !treatment.wall.worktop.nil?

      # @return [Boolean] whether it has to stay clear of what is below it
      #
      #   Judgement.ends_above_something?(seen) # => false
      def self.ends_above_something?(seen) =
        seen.treatment.site.heat_near || !seen.treatment.wall.radiator.nil? || worktop?(seen.treatment)

      # Cords and small children.
      caution("cords_in_reach", "measure", "hanging") do |seen|
        if seen.treatment.site.small_children &&
            (seen.heading.corded? || seen.treatment.wall.cords || seen.treatment.wall.control)
          {}
        end
      end

      # The last ring goes beyond the bracket, or the pole shows.
      say("ends_covered", "measure") { |seen| {} if %w[pole rod].include?(seen.treatment.support.kind) }

      # Readings far apart: hang to the shortest, or follow the floor; whoever ordered a drop has decided.
      ask("hang_to", "measure") do |seen|
        next if seen.treatment.ordered.finished_drop

        spread = seen.treatment.drop.spread
        {spread: spread, shortest: seen.treatment.drop.shortest} if spread > Drop::WIDE_SPREAD
      end

      # Light cloth at an opening window lifts.
      say("moves_in_wind", "measure") do |seen|
        mass = seen.treatment.face&.mass
        next unless seen.treatment.site.opens && mass && mass < 120

        # What has to stay clear of a worktop or of heat can't be left touching.
        {form: ends_above_something?(seen) ? :clear : nil, mass: mass}.compact
      end

      # Brackets set the width: lengths taken before they are up are provisional.
      ask("support_fitted", "measure") do |seen|
        {length: seen.treatment.supports.first} unless seen.treatment.ordered.finished_width
      end
    end
  end
end
