# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # A lining sewn to the face at the sides, and turned.
      module Steps
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
      end
    end
  end
end
