# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # The lining, by each school.
      module Steps
        # Where a locked lining is left loose below a taped top, so that the tape still goes in.
        LOCKED_TO = Length.mm(180)
        # How far a lock's loose stitches stand apart, or a little more.
        STITCHES = Length.mm(150)

        module_function

        # How high the lining's foot lies, its figure first.
        # @return [Hash{Symbol => Length}]
        def lying(lining) = lining.lift.negative? ? {below: lining.lift.abs} : {lift: lining.lift}

        # @return [Symbol] the words for it
        def lying_words(lining)
          return lining.lift.positive? ? :near_the_fold : :to_the_fold if lining.hem.taken.zero?
          return :level if lining.lift.zero?

          lining.lift.positive? ? :above : :below
        end

        # @return [Length, nil] what the lining's sides turn under
        def lining_side(work) =
          work.lining.lining.side_turn.positive? ? work.lining.lining.side_turn : nil

        # The lining's widths joined.
        once(
          "join_lining",
          ->(_) {
            [op(:pin, :lining, at: :seam), op(:sew, :lining, at: :seam, by: :machine), op(:press, :lining, at: :seam)]
          }
        ) do |work|
          made = work.lining
          seams = made.sideways? ? 0 : made.counts.sum { |count| count.ceil - 1 }
          next if seams.zero?

          seam = made.lining.seam || work.making.seam
          done(
            {seam: seam.positive? ? seam : nil, seams: seams},
            said: [seam.positive? ? :do : :edge_to_edge],
            times: {set_up: 1, join: metres(made.drop_cut.cut_drop * seams)}
          )
        end

        # The lining hemmed before it meets the face.
        once(
          "hem_lining",
          ->(_) {
            [op(:fold, :lining, at: :hem), op(:press, :lining, at: :hem), op(:sew, :lining, at: :hem, by: :machine)]
          },
          needs: %w[join_lining]
        ) { |work| hemmed_lining(work, :hem_by_machine) }

        # The same, its ends left open as the face's are.
        once(
          "hem_lining_middle",
          ->(_) {
            [op(:fold, :lining, at: :hem), op(:press, :lining, at: :hem), op(:sew, :lining, at: :hem, by: :machine)]
          },
          needs: %w[join_lining sew_hem_middle]
        ) do |work|
          hemmed_lining(work, :hem_by_machine)
            &.then { |draft| draft.with(figures: {**draft.figures, left_open: LEFT_OPEN}, said: draft.said + [:open]) }
        end

        def hemmed_lining(work, way)
          hem = work.lining.lining.hem
          return if hem.taken.zero?

          across = work.lining.targets.reduce(:+)
          done(
            {**folded(hem), hem_depth: hem.depth},
            said: [fold_words(hem)],
            times: {:set_up => 1, :press => metres(across), way => metres(across)}
          )
        end

        # The hemmed lining laid on, wrong to wrong, and locked to the face's seams.
        each_curtain(
          "lock_in_lining",
          ->(_) {
            [op(:lay, :face, :lining), op(:pin, :lining, at: :seam), op(:lock, :face, :lining, at: :seam, by: :hand)]
          },
          needs: %w[hem_lining join_lining turn_sides lock_interlining]
        ) do |work, curtain|
          lining = work.lining.lining
          buckram = work.heading.fused? ? work.top : nil
          done(
            {
              **lying(lining),
              inset: lining.inset.positive? ? lining.inset : nil,
              stop_below: buckram || LOCKED_TO,
              stitches: STITCHES
            },
            said: [
              :do,
              lying_words(lining),
              lining.inset.positive? && :set_in,
              (curtain.seams.positive? ? :at_seams : :no_seams)
            ],
            check: check(:lift, lining.lift, Length.mm(3)),
            times: {lock: metres(work.drop * (curtain.seams + 1))},
            widths: work.width_by_width(curtain)
          )
        end

        # Its sides turned under and slip-stitched to the face's.
        each_curtain(
          "slip_lining",
          ->(_) {
            [op(:fold, :lining, at: :side), op(:pin, :lining, at: :side),
              op(:sew, :face, :lining, at: :side, by: :hand)]
          },
          needs: %w[lock_in_lining]
        ) do |work, _|
          done(
            {side_turn: lining_side(work), finished_drop: work.drop},
            said: [lining_side(work) ? :do : :no_turn],
            times: {side_by_hand: metres(work.drop * 2)}
          )
        end

        # The lining cut narrower than the face, so that the face wraps to the back.
        each_curtain(
          "trim_lining",
          ->(_) { [op(:measure, :lining), op(:cut, :lining, at: :side)] },
          needs: %w[join_lining hem_lining hem_lining_middle]
        ) do |work, curtain|
          cut = work.reckoning.lining_cut_width(curtain)
          done(
            {lining_cut_width: cut, narrower: curtain.cut_width - cut},
            check: check(:lining_cut_width, cut, Length.mm(3)),
            times: {cut: metres(work.drop)}
          )
        end

        # Face and lining sewn together at the sides, right sides together.
        each_curtain(
          "bag_lining",
          ->(_) {
            [op(:lay, :face, :lining), op(:pin, :face, :lining, at: :side),
              op(:sew, :face, :lining, at: :side, by: :machine)]
          },
          needs: %w[trim_lining join_widths trim_to_width lock_interlining]
        ) do |work, _|
          middle = work.step?("sew_hem_middle")
          done(
            {seam: work.side.turn_under, **lying(work.lining.lining)},
            said: [
              (work.side.turn_under.zero? ? :edge_to_edge : :do),
              lying_words(work.lining.lining),
              middle && :stops
            ],
            times: {set_up: 1, join: metres(work.drop * 2)}
          )
        end

        # Turned, centres matched at the foot, and the wrap that shows measured: it decides.
        each_curtain(
          "match_centres",
          ->(_) {
            [op(:turn, :face, :lining), op(:measure, :face, at: :side), op(:press, :face, :lining, at: :side)]
          },
          needs: %w[bag_lining]
        ) do |work, curtain|
          wrap = work.reckoning.wrap
          done(
            {wrap: wrap, flat_width: curtain.flat_width},
            check: check(:wrap, wrap, Length.mm(2), settles: "wrap_measured"),
            times: {press: metres(work.drop * 2)}
          )
        end

        # A seam right across the top, right sides together; then turned through.
        each_curtain(
          "seam_across_top",
          ->(_) {
            [op(:pin, :face, :lining, at: :top), op(:sew, :face, :lining, at: :top, by: :machine),
              op(:turn, :face, :lining), op(:press, :face, :lining, at: :top)]
          },
          needs: %w[bag_lining match_centres mark_drop]
        ) do |work, curtain|
          done(
            {finished_drop: work.drop, flat_width: curtain.flat_width},
            times: {set_up: 1, join: metres(curtain.flat_width), press: metres(curtain.flat_width)}
          )
        end

        # The flap at the foot tacked down.
        each_curtain(
          "tack_flap",
          ->(_) { [op(:sew, :face, :lining, at: :foot, by: :hand)] },
          needs: %w[bag_lining match_centres]
        ) { |work, _| done({wrap: work.reckoning.wrap}, times: {compare: 1/2r}) }

        # Face down from the leading edge, the hem pinned on the drop's line.
        each_curtain(
          "table_face",
          ->(_) { [op(:measure, :face, at: :table), op(:lay, :face), op(:pin, :face, at: :hem)] },
          needs: %w[sew_hem]
        ) do |work, curtain|
          done(
            {finished_drop: work.drop, seams: curtain.seams.positive? ? curtain.seams : nil},
            said: [(curtain.leads == :right) ? :leads_right : :leads_left, curtain.seams.positive? && :square],
            check: check(:finished_drop, work.drop, Length.mm(2)),
            times: {lay_out: curtain.widths.ceil}
          )
        end

        # The lining laid lift above the hem, its seams beside the face's, swept and pinned, width by width.
        each_curtain(
          "table_lining",
          ->(_) { [op(:lay, :face, :lining), op(:pin, :lining, at: :seam)] },
          needs: %w[table_face hem_lining join_lining]
        ) do |work, curtain|
          lining = work.lining.lining
          done(
            {**lying(lining), inset: lining.inset.positive? ? lining.inset : nil},
            said: [:do, lying_words(lining), lining.inset.positive? && :set_in, curtain.seams.positive? && :at_seams],
            check: check(:lift, lining.lift, Length.mm(3)),
            times: {lock: metres(work.drop * (curtain.seams + 1))},
            widths: work.width_by_width(curtain)
          )
        end

        # Turned lengthways on the table, the top trimmed to what the heading needs.
        each_curtain(
          "trim_top",
          ->(_) { [op(:mark, :face, :lining, at: :top), op(:cut, :face, :lining, at: :top)] },
          needs: %w[mark_drop turn_sides_over]
        ) do |work, curtain|
          next if work.top.zero?

          done({top: work.top}, times: {cut: metres(curtain.flat_width)})
        end
      end
    end
  end
end
