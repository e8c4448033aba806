# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # What is done before anything is cut or sewn.
      module AlteringSteps
        # Marks and faults noted by place before anything is touched.
        once("note_condition", ->(_) { [op(:note, :face)] }) do |work|
          done({curtains: work.curtain.curtains}, times: {mark: work.curtain.curtains})
        end

        # Each curtain measured again, at both edges: a length on paper may be of the other one.
        each_curtain("measure_again", ->(_) { [op(:lay, :face), op(:measure, :face)] }) do |work, _|
          length = work.as_it_came
          done(
            {as_it_came: length},
            check: at_both_edges(:as_it_came, length, Length.mm(5)),
            times: {mark: 1}
          )
        end

        # The old hem let down, its fold pressed out.
        each_curtain(
          "unpick_hem",
          ->(_) { [op(:unpick, :face, at: :hem), op(:press, :face, at: :hem)] }
        ) do |work, _|
          next unless work.let_down?

          done(
            {old_hem: work.alteration.existing_hem.taken, available: work.alteration.available},
            times: {unpick: work.across, press: work.across}
          )
        end

        # A heading that came is taken off before the new one is measured.
        each_curtain(
          "take_off_old_heading",
          ->(_) { [op(:unpick, :face, at: :heading), op(:press, :face, at: :top)] }
        ) do |work, _|
          next unless work.alteration.old_heading_off?

          done({band: work.curtain.band}, times: {unpick: work.across, press: work.across})
        end

        # Several cloths joined side by side, their made edges where they show.
        each_curtain(
          "join_cloths",
          ->(_) {
            [op(:pin, :face, at: :seam), op(:sew, :face, at: :seam, by: :machine), op(:press, :face, at: :seam)]
          }
        ) do |work, _|
          count = work.alteration.cloths_joined(work.curtain)
          next if count < 2

          done(
            {cloths: count, width_in_all: work.alteration.across(work.curtain) * count},
            times: {set_up: 1, join: metres(work.as_it_came) * (count - 1)}
          )
        end

        # Every line drawn at its running distance from the edge that is kept, the same at both edges.
        each_curtain(
          "mark_lines",
          ->(_) { [op(:lay, :face), op(:measure, :face), op(:mark, :face)] },
          needs: %w[measure_again unpick_hem take_off_old_heading join_cloths]
        ) do |work, _|
          next if work.lines.empty?

          main = work.main_line
          done(
            {**work.lines_by_name, table_length: work.longer_than_the_table? ? work.house.table_length : nil},
            said: [:do, work.longer_than_the_table? && :in_sections],
            check: main && at_both_edges(main.name, main.at, work.house.pair_tolerance),
            times: {mark: 1}
          )
        end

        # A pair's lines laid on each other before either curtain is cut or sewn.
        once("compare_lines", ->(_) { [op(:compare, :face)] }, needs: %w[mark_lines]) do |work|
          next unless work.pair? && !work.alteration.cuts_nothing?

          done(
            {tolerance: work.house.pair_tolerance, **work.lines_by_name.first(1).to_h},
            check: at_both_edges(:difference, Length::ZERO, work.house.pair_tolerance),
            times: {compare: 1}
          )
        end
      end
    end
  end
end
