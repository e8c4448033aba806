# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # The last of it.
      module AlteringSteps
        # The length as it was asked for, measured at both edges.
        each_curtain(
          "check_length",
          ->(_) { [op(:lay, :face), op(:measure, :face)] },
          needs: %w[
            hooks_in_as_it_is sew_casing put_on_clips sew_new_hem cut_strip into_channel press_seam_down make_new_top
            add_to_foot
          ]
        ) do |work, _|
          next if work.alteration.cuts_nothing?

          length = work.alteration.length_at_last
          done(
            {length_at_last: length, wanted_length: work.alteration.wanted_length},
            check: at_both_edges(:length_at_last, length, work.house.pair_tolerance),
            times: {mark: 1}
          )
        end

        # Pressed, folded, what was noted read through once more.
        once("press_and_hand_back", ->(_) { [op(:press, :face)] }, needs: %w[check_length hooks_in_as_it_is]) do |work|
          done(
            {curtains: work.curtain.curtains},
            said: [work.curtain.lined ? :lined : :unlined, :do],
            times: {finish: work.curtain.curtains}
          )
        end
      end
    end
  end
end
