# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # What is laid on at the foot, and the hem that is sewn anew.
      module AlteringSteps
        # What the foot wants laid on: a facing, or a band.
        each_curtain(
          "add_to_foot",
          ->(_) {
            [op(:pin, :face, at: :foot), op(:sew, :face, at: :foot, by: :machine), op(:press, :face, at: :foot)]
          },
          needs: %w[unpick_hem mark_lines compare_lines]
        ) do |work, _|
          figures = work.alteration.added_to_foot or next
          done(figures, times: {set_up: 1, join: work.across * 2, press: work.across})
        end

        # The new hem pressed, both folds measured while it is.
        each_curtain(
          "press_new_hem",
          ->(_) { [op(:fold, :face, at: :hem), op(:press, :face, at: :hem)] },
          needs: %w[cut_off add_to_foot cut_strip]
        ) do |work, _|
          hem = work.alteration.new_hem or next
          next if hem.taken.zero?

          pieces = work.alteration.pieces_hemmed
          done(
            {**folded(hem), hem_depth: hem.depth, pieces_hemmed: pieces},
            said: [fold_words(hem), pieces && :pieces],
            check: check(:hem_depth, hem.depth, Length.mm(2)),
            times: {set_up: 1, press: work.across * (pieces&.size || 1)}
          )
        end

        # A pair compared at both edges before either hem is sewn.
        once("compare_edges", ->(_) { [op(:compare, :face, at: :hem)] }, needs: %w[press_new_hem]) do |work|
          several = work.pair? || work.alteration.pieces_made > 1
          next unless several && work.alteration.new_hem

          done(
            {tolerance: work.house.pair_tolerance, length_at_last: work.alteration.length_at_last},
            check: at_both_edges(:difference, Length::ZERO, work.house.pair_tolerance),
            times: {compare: 1}
          )
        end

        # The new hem sewn.
        each_curtain(
          "sew_new_hem",
          ->(work) { [op(:sew, :face, at: :hem, by: work.sewn)] },
          needs: %w[press_new_hem compare_edges]
        ) do |work, _|
          hem = work.alteration.new_hem or next
          next if hem.taken.zero?

          done(
            {hem_depth: hem.depth, flat_width: work.curtain.flat_width, pieces_hemmed: work.alteration.pieces_hemmed},
            said: [work.sewn, work.alteration.pieces_hemmed && :pieces],
            times: {set_up: 1, "hem_by_#{work.sewn}": work.across * (work.alteration.pieces_hemmed&.size || 1)}
          )
        end
      end
    end
  end
end
