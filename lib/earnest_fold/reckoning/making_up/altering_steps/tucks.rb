# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # What is cut off, and tucks at the top and at the foot.
      module AlteringSteps
        # What is too long cut off, on the side that is kept.
        each_curtain(
          "cut_off",
          ->(_) { [op(:lay, :face), op(:cut, :face)] },
          needs: %w[mark_lines compare_lines]
        ) do |work, _|
          cuts = work.alteration.tucked? ? [] : work.lines.select { |line| line.deed == :cut }
          next if cuts.empty?

          done(
            {**cuts.to_h { |line| [line.name, line.at] }, left_over: work.made.left_over},
            times: {cut: work.across * cuts.size}
          )
        end

        # The tuck under the band: pinned, tacked where the cloth bunches, sewn on the band's line, measured.
        each_curtain(
          "sew_top_tuck",
          ->(_) {
            [op(:fold, :face, at: :band), op(:pin, :face, at: :band), op(:tack, :face, at: :band),
              op(:sew, :face, at: :band, by: :machine), op(:measure, :face)]
          },
          needs: %w[mark_lines compare_lines]
        ) do |work, _|
          tuck = work.alteration.top_tuck or next
          length = work.as_it_came - tuck.remove
          done(
            {remove: tuck.remove, tuck_fold: tuck.remove / 2, length_now: length},
            check: at_both_edges(:length_now, length, work.house.pair_tolerance),
            times: {set_up: 1, join: work.across}
          )
        end

        # The pleat alone cut off, the curtain laid away, its edge overcast.
        each_curtain(
          "cut_top_strip",
          ->(_) { [op(:lay, :face), op(:cut, :face, at: :seam), op(:sew, :face, at: :edge, by: :machine)] },
          needs: %w[sew_top_tuck]
        ) do |work, _|
          tuck = work.alteration.top_tuck or next
          done({strip: tuck.strip, seam: tuck.seam}, times: {cut: work.across, join: work.across})
        end

        # The tuck above the made hem: sewn against its stitching, and the length measured before anything is cut.
        each_curtain(
          "sew_tuck",
          ->(_) {
            [op(:fold, :face, at: :seam), op(:pin, :face, at: :seam), op(:sew, :face, at: :seam, by: :machine),
              op(:measure, :face)]
          },
          needs: %w[mark_lines compare_lines into_channel]
        ) do |work, _|
          tuck = work.alteration.foot_tuck or next
          length = work.as_it_came - (work.alteration.top_tuck&.remove || Length::ZERO) - tuck.remove
          done(
            {
              remove: tuck.remove,
              tuck_fold: tuck.remove / 2,
              length_now: length,
              made_hem: work.alteration.made_hem.depth
            },
            check: at_both_edges(:length_now, length, work.house.pair_tolerance),
            times: {set_up: 1, join: work.across}
          )
        end

        # The strip of the tuck cut off, the curtain itself out of the way.
        each_curtain(
          "cut_strip",
          ->(_) { [op(:lay, :face), op(:cut, :face, at: :seam), op(:sew, :face, at: :edge, by: :machine)] },
          needs: %w[sew_tuck]
        ) do |work, _|
          tuck = work.alteration.foot_tuck or next
          done(
            {strip: tuck.strip, seam: tuck.seam, made_hem: work.alteration.made_hem.depth},
            times: {cut: work.across, join: work.across}
          )
        end

        # Under a tape the raw edge goes up into its channel and is stitched there, the cords clear.
        each_curtain(
          "into_channel",
          ->(_) {
            [op(:fold, :face, at: :heading), op(:sew, :face, at: :heading, by: :machine), op(:press, :face, at: :seam)]
          },
          needs: %w[cut_top_strip]
        ) do |work, _|
          tuck = work.alteration.top_tuck or next
          done({seam: tuck.seam}, times: {join: work.across, press: work.across})
        end

        # The seam above the made hem pressed open first, then down behind it.
        each_curtain(
          "press_seam_down",
          ->(_) { [op(:press, :face, at: :seam)] },
          needs: %w[cut_strip]
        ) do |work, _|
          next unless work.alteration.foot_tuck

          done({made_hem: work.alteration.made_hem.depth}, times: {press: work.across * 2})
        end
      end
    end
  end
end
