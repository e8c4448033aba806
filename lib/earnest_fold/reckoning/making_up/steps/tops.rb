# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # The drop, the top, and what goes into it.
      module Steps
        # The finished drop measured and marked: from the hem at both edges, in the middle and at each seam.
        each_curtain(
          "mark_drop",
          ->(work) {
            layers = work.treatment.lining ? %i[face lining] : %i[face]
            [op(:lay, *layers), op(:measure, *layers), op(:mark, :face, at: :top)]
          },
          needs: %w[lock_in_lining slip_lining table_lining turn_sides_over bag_lining match_centres turn_sides]
        ) do |work, curtain|
          from_top = work.before?("mark_drop", "press_hem")
          done(
            {
              finished_drop: work.drop,
              top: work.top.zero? ? nil : work.top,
              spare: work.making.squaring.positive? ? work.making.squaring : nil
            },
            said: [
              (from_top ? :from_the_top : :do),
              curtain.seams.positive? && :seams,
              !work.top.zero? && :top,
              work.making.squaring.positive? && :spare
            ],
            check: across(:finished_drop, work.drop, Length.mm(3)),
            times: {mark: 1}
          )
        end

        # Buckram under the side turnings, its edge to the finished width, and fused.
        each_curtain(
          "put_in_buckram",
          ->(_) { [op(:lay, :face, :buckram, at: :top), op(:fuse, :face, :buckram, at: :top)] },
          needs: %w[mark_drop]
        ) do |work, curtain|
          done(
            {buckram_length: curtain.heading[:buckram_length], buckram: work.heading.buckram},
            said: [work.side.taken.positive? ? :under_sides : :do],
            times: {set_up: 1, tape: metres(curtain.flat_width)}
          )
        end

        # Stiffening laid along the top, between the side turnings, before it is turned.
        each_curtain(
          "stiffen_top",
          ->(_) { [op(:cut, :buckram), op(:lay, :face, :buckram, at: :top), op(:pin, :face, :buckram, at: :top)] },
          needs: %w[mark_drop]
        ) do |work, curtain|
          stiffened = work.heading.stiffened or next
          length = work.reckoning.stiffening_length(curtain)
          done(
            {stiffening_length: length, stiffening: stiffened.depth, layers: stiffened.layers},
            said: [(stiffened.layers > 1) ? :in_layers : :do],
            times: {set_up: 1, tape: metres(length)}
          )
        end

        # The top folded down on its lines.
        each_curtain(
          "turn_top",
          ->(_) { [op(:fold, :face, at: :top), op(:press, :face, at: :top)] },
          needs: %w[
            mark_drop put_in_buckram stiffen_top lock_in_lining table_lining bag_lining turn_sides turn_sides_over
          ]
        ) do |work, curtain|
          next if work.top.zero?

          lines = work.heading.top_lines(work.treatment.support)
          done(
            {top: work.top, first_press: lines.first, press_lines: lines},
            said: [(lines.size > 1) ? :two_lines : :do],
            times: {set_up: 1, press: metres(curtain.flat_width)}
          )
        end
      end
    end
  end
end
