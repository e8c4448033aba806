# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # Face and lining laid on the table to its own line.
      module Steps
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
