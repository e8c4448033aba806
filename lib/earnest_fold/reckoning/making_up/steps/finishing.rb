# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # The last of it.
      module Steps
        # The finished curtains compared, both lengths at both edges and in the middle.
        once(
          "compare_pair",
          ->(_) { [op(:compare, :face)] },
          needs: %w[
            sew_hem put_in_hooks mark_drop turn_top sew_tape sew_second_row draw_up sew_pleats set_eyelets sew_pocket
          ]
        ) do |work|
          next unless work.pair?

          done(
            {finished_drop: work.drop, tolerance: work.house.pair_tolerance},
            check: across(:difference, Length::ZERO, work.house.pair_tolerance),
            times: {compare: 1}
          )
        end

        # Pressed, folded and tagged: maker, cloth, batch, drop as made.
        once(
          "press_and_tag",
          ->(work) { [op(:press, *(work.treatment.lining ? %i[face lining] : %i[face]))] },
          needs: %w[compare_pair sew_hem put_in_hooks mark_drop tack_flap finish_corners make_tiebacks]
        ) do |work|
          done(
            {finished_drop: work.drop, curtains: work.curtains.size},
            said: [work.treatment.lining ? :lined : :unlined, :do],
            times: {finish: work.curtains.size}
          )
        end
      end
    end
  end
end
