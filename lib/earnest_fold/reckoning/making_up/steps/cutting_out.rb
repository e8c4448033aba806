# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # What is set out, measured, joined and trimmed before anything is folded.
      module Steps
        # Where the hardware dictates the width, the heading comes first: the cloth is cut to it.
        each_curtain(
          "set_out_heading",
          ->(_) { [op(:measure, :tape, at: :heading), op(:mark, :tape, at: :heading)] }
        ) do |work, curtain|
          marks = work.marks(curtain)
          next if marks.empty?

          cord = work.heading.hangs_on_cord? ? work.treatment.supports.first : nil
          figures = {
            flat_width: curtain.flat_width,
            marks: marks.size,
            cord: cord,
            gliders: curtain.heading[:gliders],
            tape_length: curtain.heading[:tape_length]
          }
          done(
            figures,
            said: [cord && :cord, :do],
            check: check(:flat_width, curtain.flat_width, Length.mm(3)),
            times: {mark: 1}
          )
        end

        # The cuts laid out with their tops one way, and each measured.
        once("lay_out_cuts", ->(_) { [op(:lay, :face, at: :cut), op(:measure, :face, at: :cut)] }) do |work|
          made = work.reckoning
          selvedge = work.face.selvedge
          done(
            {cut_drop: made.cut_drop, cuts: made.widths_total, selvedge: selvedge.positive? ? selvedge : nil},
            said: [:do, selvedge.positive? && :selvedge, work.face.one_way && :one_way],
            check: check(:cut_drop, made.cut_drop, Length.mm(2)),
            times: {lay_out: made.widths_total}
          )
        end

        # Widths joined, seams at their running distances from the leading edge.
        each_curtain(
          "join_widths",
          ->(_) {
            [op(:pin, :face, at: :seam), op(:sew, :face, at: :seam, by: :machine), op(:press, :face, at: :seam)]
          },
          needs: %w[lay_out_cuts]
        ) do |work, curtain|
          next if work.treatment.sideways? || curtain.task.seams.empty?

          seams, seam = curtain.task.seams, work.making.seam
          done(
            {seam: seam.positive? ? seam : nil, seams: seams.size, first_seam: seams.first, seam_places: seams},
            said: [
              seam_words(work, seam),
              work.face.repeats? && :pattern,
              work.face.selvedge.positive? && work.face.selvedge_in_seam && :selvedge_in
            ],
            times: {set_up: 1, join: metres(work.reckoning.cut_drop * seams.size)}
          )
        end

        def self.seam_words(work, seam)
          return :edge_to_edge if seam.zero?

          (work.face.frays && !work.treatment.lining) ? :enclosed : :do
        end
        private_class_method :seam_words

        # What the fullness or the tape doesn't want is trimmed off at the return edge.
        each_curtain(
          "trim_to_width",
          ->(_) { [op(:measure, :face), op(:mark, :face, at: :side), op(:cut, :face, at: :side)] },
          needs: %w[join_widths]
        ) do |work, curtain|
          next unless work.making.trim == "to_fullness" || work.heading.folds_dictated?

          done(
            {cut_width: curtain.cut_width},
            check: check(:cut_width, curtain.cut_width, Length.mm(3)),
            times: {mark: 1}
          )
        end

        # The interlining, cut to the finished size, laid on the face's back and locked at its seams and sides.
        each_curtain(
          "lock_interlining",
          ->(_) { [op(:lay, :face, :interlining), op(:lock, :face, :interlining, at: :seam, by: :hand)] },
          needs: %w[join_widths trim_to_width]
        ) do |work, curtain|
          next unless work.treatment.interlining

          done(
            {finished_drop: work.drop, flat_width: curtain.flat_width},
            said: [curtain.seams.positive? ? :do : :no_seams],
            times: {lock: metres(work.drop * (curtain.widths.ceil + 1))},
            widths: work.width_by_width(curtain)
          )
        end
      end
    end
  end
end
