# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # At the machine and by hand.
    module Judgement
      # Where a tape is put on.
      TAPE = %w[put_on_heading form_heading].freeze

      # Cords are knotted at the leading edge.
      say("cords_knotted", "making", step: TAPE) { |seen| {} if seen.reckoning && seen.heading.corded? }

      # A hand-finished corner stands a hair proud, or the side draws it up.
      say("corner_proud", "making", step: "turn_top") do |seen|
        {} if seen.reckoning && seen.house.stitching == "hand"
      end

      # Slippery and linen-like cloth creeps under the needle.
      say("creeps", "making", step: %w[join_widths turn_sides sew_hem bag_lining turn_top]) do |seen|
        {cloth: seen.treatment.face.name} if seen.treatment.face&.creeps
      end

      # An edge that curls wants no heat.
      say("curls", "making", step: %w[turn_sides bag_lining turn_top lay_out_cuts]) do |seen|
        {cloth: seen.treatment.face.name} if seen.treatment.face&.curls
      end

      # A hem that drags wears.
      say("hem_wears", "making", step: "press_hem") do |seen|
        if seen.treatment.drop.offset.positive? && [nil, "floor"].include?(seen.treatment.drop.measured_to)
          {drags: seen.treatment.drop.offset}
        end
      end

      # Face down, the leading edge is on the other hand.
      say("mirror_view", "making", step: %w[turn_sides bag_lining mark_drop]) { |seen| {} if seen.reckoning }

      # A puffed frill's fold is never pressed.
      say("never_crease", "making", step: "turn_top") do |seen|
        {frill: seen.heading.frill} if seen.heading.respond_to?(:frill) && seen.heading.frill.positive?
      end

      # Pins leave holes that show light.
      say("no_pinholes", "making", step: %w[lock_in_lining bag_lining table_lining]) do |seen|
        {cloth: seen.treatment.lining.cloth.name} if seen.coated?
      end

      # A table's own line is no measure until the tape says so.
      say("own_line_true", "making", step: "table_lining") do |seen|
        {drop: seen.reckoning.finished_drop} if seen.reckoning && seen.lined? && seen.house.lining_school == "tabled"
      end

      # Both curtains are compared before either hem is sewn.
      say(
        "pair_before_sewing",
        "making",
        step: "compare_hems",
        altering_step: "compare_lines",
        made: ->(seen) { {tolerance: seen.house.pair_tolerance} if seen.pair? && seen.hemmed? },
        altered: ->(seen) { {tolerance: seen.house.pair_tolerance} if seen.made.pair? }
      )

      # An eyelet's hole is drawn, and cut inside the line.
      say("ring_drawn", "making", step: "form_heading") do |seen|
        {eyelets: seen.curtains.first.heading[:eyelets]} if seen.curtains.first&.heading&.fetch(:eyelets, nil)
      end

      # A tape that is pulled ropes.
      say("rope_tape", "making", step: TAPE) { |seen| {} if seen.taped? }

      # Both sides are sewn in one direction.
      say("same_direction", "making", step: "bag_lining") do |seen|
        {} if seen.reckoning && seen.lined? && seen.house.lining_school == "bagged"
      end

      # The second curtain is laid on the first.
      say("second_copies_first", "making", step: %w[turn_sides bag_lining mark_drop]) { |seen| {} if seen.pair? }

      # A hot needle melts a coating.
      say("slow_needle", "making", step: %w[hem_lining join_lining bag_lining table_lining lock_in_lining]) do |seen|
        {cloth: seen.treatment.lining.cloth.name} if seen.coated?
      end

      # Errors add up over three widths and more.
      say("square_each_width", "making", step: "mark_drop") do |seen|
        {widths: seen.curtains.map(&:widths).max.ceil} if seen.curtains.any? { |curtain| curtain.widths >= 3 }
      end

      # Air under a wide lining lets it hang long.
      say("sweep_air", "making", step: %w[lock_in_lining table_lining]) do |seen|
        wide = seen.curtains.any? { |curtain| curtain.widths >= 2 }
        {} if wide && seen.lined? && seen.house.lining_school != "bagged"
      end

      # A tape is never cut through a pocket.
      say("tape_end", "making", step: TAPE) { |seen| {} if seen.taped? }

      # Pockets outward, from a pocket.
      say("tape_side", "making", step: TAPE) { |seen| {} if seen.taped? }

      # All hook places are laid out before anything is sewn.
      say("try_before_sewing", "making", step: TAPE) do |seen|
        if seen.taped? && seen.curtains.first.heading[:hooks]
          {hooks: seen.curtains.first.heading[:hooks]}
        end
      end

      # No machine needle near a weight.
      say("weights_by_hand", "making", step: "put_in_weights") do |seen|
        {weights: seen.curtains.first.weights} if seen.reckoning && seen.treatment.making.hem.taken.positive?
      end

      # The face's wrap is measured on the first curtain and kept.
      say("wrap_measured", "making", step: "bag_lining") do |seen|
        if seen.reckoning && seen.lined? && seen.house.lining_school == "bagged"
          {wrap: seen.treatment.making.side.depth}
        end
      end
    end
  end
end
