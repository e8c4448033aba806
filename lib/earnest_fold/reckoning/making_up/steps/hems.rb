# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # Hem, weights and corners at the foot.
      module Steps
        # What stays open of a bagged hem at each end: a hand's breadth.
        LEFT_OPEN = Loosely.new(100, 4)

        module_function

        # A hem's press lines, as it is folded up.
        #
        #   hem = MakingUp::Steps.pressed_hem(treatment.making.hem, Length.cm(200))
        #   hem.figures.values # => [80 mm, 160 mm, 80 mm]
        def pressed_hem(hem, across) =
          done(
            {**folded(hem), hem_depth: hem.depth},
            said: [fold_words(hem)],
            check: check(:hem_depth, hem.depth, Length.mm(2)),
            times: {set_up: 1, press: metres(across)}
          )

        # The hem pressed, not yet sewn.
        each_curtain(
          "press_hem",
          ->(_) { [op(:fold, :face, at: :hem), op(:press, :face, at: :hem)] },
          needs: %w[join_widths trim_to_width]
        ) { |work, curtain| pressed_hem(work.hem, curtain.flat_width) if work.hem.taken.positive? }

        # The face's hem folded up over the lining's raw foot.
        each_curtain(
          "fold_hem_over",
          ->(_) { [op(:fold, :face, at: :hem), op(:press, :face, at: :hem), op(:pin, :face, :lining, at: :hem)] },
          needs: %w[join_widths trim_to_width lock_in_lining mitre_corners]
        ) { |work, curtain| pressed_hem(work.hem, curtain.flat_width) if work.hem.taken.positive? }

        # The corners folded before the hem, whole: nothing is cut away.
        each_curtain(
          "mitre_corners",
          ->(_) { [op(:fold, :face, at: :corner), op(:press, :face, at: :corner)] },
          needs: %w[turn_sides]
        ) do |work, _|
          next if work.hem.taken.zero? || work.side.taken.zero?

          done({hem_depth: work.hem.depth, side_fold: work.side.depth}, times: {set_up: 1})
        end

        # Chain, weight tape or a pipe along the whole foot.
        each_curtain(
          "lay_in_chain",
          ->(_) { [op(:weigh, :face, at: :foot)] },
          needs: %w[press_hem]
        ) do |work, curtain|
          next if work.hem.taken.zero? || !%w[chain tape pipe].include?(work.weighting)

          done({chain: curtain.flat_width}, said: [work.weighting.to_sym], times: {weight: 2})
        end

        # Weights into the corners, and at the foot of each seam where the house does so, slipped in at the fold.
        each_curtain(
          "put_in_weights",
          ->(_) { [op(:weigh, :face, at: :corner)] },
          needs: %w[press_hem]
        ) do |work, curtain|
          count = work.treatment.weights(curtain)
          next if count.zero?

          done({weights: count}, said: [(count > 2) ? :seams : :do], times: {weight: count})
        end

        # A pair's second curtain is laid on the first before either hem is sewn.
        once(
          "compare_hems",
          ->(_) { [op(:compare, :face, at: :hem)] },
          needs: %w[press_hem fold_hem_over]
        ) do |work|
          next unless work.pair? && work.hem.taken.positive?

          done(
            {tolerance: work.house.pair_tolerance, finished_drop: work.drop},
            check: at_both_edges(:difference, Length::ZERO, work.house.pair_tolerance),
            times: {compare: 1}
          )
        end

        # The hem sewn.
        each_curtain(
          "sew_hem",
          ->(work) { [op(:sew, :face, at: :hem, by: work.sewn(:hem))] },
          needs: %w[press_hem fold_hem_over compare_hems put_in_weights lay_in_chain]
        ) do |work, curtain|
          next if work.hem.taken.zero?

          by = work.sewn(:hem)
          done(
            {hem_depth: work.hem.depth, flat_width: curtain.flat_width},
            said: [by],
            times: {set_up: 1, "hem_by_#{by}": metres(curtain.flat_width)}
          )
        end

        # Of a bag that is closed at the corners last, only the middle of the hem is sewn.
        each_curtain(
          "sew_hem_middle",
          ->(_) { [op(:sew, :face, at: :hem, by: :machine)] },
          needs: %w[press_hem compare_hems put_in_weights lay_in_chain]
        ) do |work, curtain|
          next if work.hem.taken.zero?

          done(
            {hem_depth: work.hem.depth, left_open: LEFT_OPEN, flat_width: curtain.flat_width},
            times: {set_up: 1, hem_by_machine: metres(curtain.flat_width)}
          )
        end

        # The corners of a bag at the foot, folded in and finished by hand.
        each_curtain(
          "finish_corners",
          ->(_) { [op(:fold, :face, :lining, at: :corner), op(:sew, :face, :lining, at: :corner, by: :hand)] },
          needs: %w[bag_lining match_centres sew_hem_middle]
        ) do |work, _|
          next if work.hem.taken.zero?

          done({left_open: LEFT_OPEN}, times: {hem_by_hand: metres(LEFT_OPEN * 2)})
        end
      end
    end
  end
end
