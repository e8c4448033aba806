# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # What is made beside the curtains: the frill above a tape, and tiebacks.
      module Steps
        # The strip of a frill: joined where the cloth is narrower, its ends sewn, turned, its fold never pressed.
        each_curtain(
          "make_frill",
          ->(work) {
            [op(:cut, :trimming), op(:sew, :trimming, by: :machine), op(:fold, :trimming)]
          }
        ) do |work, curtain|
          frill = work.reckoning.frill(curtain) or next
          strips, each = frill.strips(work.treatment.trimmed_from.usable_width)
          done(
            {
              strip_length: frill.length,
              strip_depth: frill.depth,
              strips: (strips > 1) ? strips : nil,
              strip_each: (strips > 1) ? each : nil,
              seam: frill.seam.positive? ? frill.seam : nil
            },
            said: [:do, strips > 1 && :joined, frill.seam.positive? ? :ends : :raw_ends],
            times: {set_up: 1, side_by_machine: metres(frill.length)}
          )
        end

        # Set between curtain and tape, its fold above the top.
        each_curtain(
          "set_frill",
          ->(_) { [op(:pin, :face, :trimming, at: :top), op(:tack, :face, :trimming, at: :top)] },
          needs: %w[make_frill turn_top seam_across_top]
        ) do |work, curtain|
          frill = work.reckoning.frill(curtain) or next
          done({frill: frill.frill, flat_width: curtain.flat_width}, times: {mark: 1})
        end

        # Tiebacks, all of them: cut, folded, sewn, and what holds them put on.
        once(
          "make_tiebacks",
          ->(_) { [op(:cut, :trimming), op(:press, :trimming), op(:sew, :trimming, by: :machine)] }
        ) do |work|
          tieback = work.reckoning.tieback or next
          folded = tieback.make == "folded"
          done(
            {
              tiebacks: tieback.count,
              finished_length: tieback.finished_length,
              strip_length: tieback.length,
              strip_depth: tieback.depth,
              tieback_depth: tieback.finished_depth,
              seam: (!folded && tieback.seam.positive?) ? tieback.seam : nil,
              **tieback.fastened_by
            },
            said: [:do, folded ? :folded : :turned_through, tieback.fastening.to_sym],
            times: {pleat: tieback.count * 2}
          )
        end
      end
    end
  end
end
