# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # The lining, joined, hemmed and locked in.
      module Steps
        # Where a locked lining is left loose below a taped top, so that the tape still goes in.
        LOCKED_TO = Loosely.new(180, 7)
        # How far a lock's loose stitches stand apart, or a little more.
        STITCHES = Loosely.new(150, 6)

        module_function

        # How high the lining's foot lies, its figure first.
        # @return [Hash{Symbol => Length}]
        #
        #   MakingUp::Steps.lying(lined.lining) # => {:lift=>25 mm}
        def lying(lining) = lining.lift.negative? ? {below: lining.lift.abs} : {lift: lining.lift}

        # @return [Symbol] the words for it
        #
        #   MakingUp::Steps.lying_words(lined.lining) # => :above
        def lying_words(lining)
          return lining.lift.positive? ? :near_the_fold : :to_the_fold if lining.hem.taken.zero?
          return :level if lining.lift.zero?

          lining.lift.positive? ? :above : :below
        end

        # @return [Length, nil] what the lining's sides turn under
        #
        #   MakingUp::Steps.lining_side(making_case(lined.reckon)) # => 20 mm
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
        private_class_method :hemmed_lining

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
      end
    end
  end
end
