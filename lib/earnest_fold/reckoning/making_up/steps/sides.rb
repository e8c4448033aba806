# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # The sides.
      module Steps
        module_function

        # How a side is folded: pressed at the full amount where it is double, its raw edge tucked to the crease.
        #
        #   MakingUp::Steps.turned_side(treatment.making.side) # => {:takes=>50 mm, :fold=>40 mm, :under=>10 mm}
        def turned_side(side) =
          {takes: side.taken, fold: side.depth, under: side.turn_under.positive? ? side.turn_under : nil}

        # Weights that go in with the sides, where the order has no step of its own for them.
        #
        #   MakingUp::Steps.weights_with_sides(making_case, curtain) # => 3
        def weights_with_sides(work, curtain)
          work.treatment.weights(curtain) if work.weights? && !work.step?("put_in_weights")
        end

        # The sides pressed, weights in where they go in with them, and sewn.
        each_curtain(
          "turn_sides",
          ->(work) {
            [op(:fold, :face, at: :side), op(:press, :face, at: :side), op(:pin, :face, at: :side),
              (op(:weigh, :face, at: :corner) if weights_with_sides(work, work.curtains.first)),
              op(:sew, :face, at: :side, by: work.sewn(:side))].compact
          },
          needs: %w[join_widths trim_to_width lock_interlining]
        ) do |work, curtain|
          next if work.side.taken.zero?

          by, weights = work.sewn(:side), weights_with_sides(work, curtain)
          done(
            {**turned_side(work.side), weights: weights},
            said: [fold_words(work.side), weights && ((weights > 2) ? :weights_at_seams : :weights), by],
            times: {"side_by_#{by}": metres(work.drop * 2), weight: weights}.compact
          )
        end

        # The sides pressed and pinned, and sewn with all the rest.
        each_curtain(
          "press_sides",
          ->(_) { [op(:fold, :face, at: :side), op(:press, :face, at: :side), op(:pin, :face, at: :side)] },
          needs: %w[join_widths trim_to_width press_hem]
        ) do |work, _|
          next if work.side.taken.zero?

          done(
            turned_side(work.side),
            said: [fold_words(work.side), :pinned],
            times: {set_up: 1, press: metres(work.drop * 2)}
          )
        end

        # Sewn once round: top, side, top again, sides and hem.
        each_curtain(
          "sew_all_round",
          ->(_) { [op(:pin, :face, at: :top), op(:sew, :face, at: :side, by: :machine)] },
          needs: %w[press_hem press_sides turn_top put_in_buckram compare_hems]
        ) do |work, curtain|
          round = (curtain.flat_width + work.drop) * 2
          done(
            {finished_drop: work.drop, flat_width: curtain.flat_width},
            said: [work.weights? ? :over_weights : :do],
            times: {set_up: 1, side_by_machine: metres(round)}
          )
        end

        # The lining tucked into the side's crease, then the side folded over both.
        each_curtain(
          "turn_sides_over",
          ->(work) {
            [op(:fold, :face, :lining, at: :side), op(:press, :face, :lining, at: :side),
              op(:pin, :face, at: :side),
              (op(:weigh, :face, at: :corner) if weights_with_sides(work, work.curtains.first)),
              op(:sew, :face, :lining, at: :side, by: work.sewn(:side))].compact
          },
          needs: %w[table_lining]
        ) do |work, curtain|
          next if work.side.taken.zero?

          weights = weights_with_sides(work, curtain)
          done(
            {**turned_side(work.side), weights: weights},
            said: [:do, weights && ((weights > 2) ? :weights_at_seams : :weights)],
            times: {side_by_hand: metres(work.drop * 2), weight: weights}.compact
          )
        end
      end
    end
  end
end
