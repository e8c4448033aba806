# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # At the table, with the shears in hand.
    module Judgement
      # A rotary cutter's guard is closed whenever it is put down.
      # An industrial machine runs on when the hand is still there.
      caution_at_work(
        "blades_needles",
        "cutting",
        on: on(:sew, by: :machine),
        made: ->(seen) { {form: :rotary} if seen.cutting&.first_on_piece && seen.house.cutter == "rotary" }
      ) { |seen, _| {form: :machine} if seen.house.stitching == "machine" }

      # What is cut on the floor picks up what lies there.
      say("clean_ground", "cutting") { |seen| {} if seen.cutting&.first_on_cloth && seen.house.cut_on == "floor" }

      # A heat cutter wants something under it, air, and the hand behind the blade.
      caution("hot_tools", "cutting") { |seen| {} if seen.cutting&.first_on_piece && seen.house.cutter == "heat" }

      # The line's thickness belongs to the waste.
      say("keep_side", "cutting") { |seen| {length: seen.cutting.length} if seen.cutting }

      # Whatever marks the cloth is tried first.
      say("mark_comes_out", "cutting") { |seen| {cloth: seen.cutting.cloth.name} if seen.cutting&.first_on_cloth }

      # What was delivered is measured before it is cut.
      say("measure_delivery", "cutting") do |seen|
        {width: seen.cutting.cloth.width} if seen.cutting && seen.cutting.measured == false
      end

      # Nap or pattern has one direction: every cut lies the same way, its top marked.
      say("one_way_cut", "cutting") { |seen| {length: seen.cutting.length} if seen.cutting&.cloth&.one_way }

      # The first cut of a treatment is measured again on the cloth.
      say("recheck_first", "cutting") do |seen|
        if seen.reckoning && seen.cutting&.first_of_treatment
          {drop: seen.reckoning.finished_drop, cut_drop: seen.cutting.length}
        end
      end

      # Never two shades in one curtain or pair.
      say("shade_batch", "cutting") do |seen|
        {batches: seen.cutting.batches.join(", ")} if seen.cutting && seen.cutting.batches.size > 1
      end
    end
  end
end
