# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # Tops that are turned anew, and what holds a top that came.
      module AlteringSteps
        # Stiffening laid along the new top before it is turned.
        each_curtain(
          "stiffen_new_top",
          ->(_) { [op(:cut, :buckram), op(:lay, :face, :buckram, at: :top), op(:pin, :face, :buckram, at: :top)] },
          needs: %w[cut_off]
        ) do |work, _|
          depth = work.alteration.top_stiffened or next
          pieces = work.alteration.pieces_topped
          done(
            {stiffening: depth, stiffening_length: work.alteration.across(work.curtain), pieces_topped: pieces},
            said: [:do, pieces && :pieces],
            times: {set_up: 1, tape: work.across * (pieces&.size || 1)}
          )
        end

        # The new top turned.
        each_curtain(
          "make_new_top",
          ->(_) { [op(:fold, :face, at: :top), op(:press, :face, at: :top)] },
          needs: %w[cut_off stiffen_new_top]
        ) do |work, _|
          top = work.alteration.new_top or next
          next if work.alteration.heading_put_on

          pieces, finish = work.alteration.pieces_topped, work.alteration.cut_edge
          done(
            {top: top, pieces_topped: pieces},
            said: [finish&.to_sym, :do, pieces && :pieces],
            times: {set_up: 1, press: work.across * (pieces&.size || 1)}
          )
        end

        # A casing sewn along its lower fold, its ends left open for the rod.
        each_curtain(
          "sew_casing",
          ->(_) { [op(:pin, :face, at: :top), op(:sew, :face, at: :top, by: :machine)] },
          needs: %w[make_new_top]
        ) do |work, _|
          next unless work.alteration.casing? && work.alteration.new_top.positive?

          pieces = work.alteration.pieces_topped
          done(
            {sewn_at: work.alteration.new_top, pieces_topped: pieces},
            said: [:do, pieces && :pieces],
            times: {set_up: 1, tape: work.across * (pieces&.size || 1)}
          )
        end

        # Clips put on, one at each edge and evenly between.
        each_curtain(
          "put_on_clips",
          ->(_) { [op(:measure, :face, at: :heading), op(:set, :face, at: :heading)] },
          with: %i[count],
          needs: %w[make_new_top]
        ) do |work, _|
          clips = work.alteration.clipped or next
          done(
            {clips: clips, clip_gap: work.alteration.across(work.curtain) / (clips - 1)},
            times: {hook: clips}
          )
        end

        # Drawn up along its own cords to the width that it covers; a tape that doesn't draw forms when it hangs.
        each_curtain(
          "draw_up_as_it_is",
          ->(_) { [op(:draw, :face, :tape, at: :heading), op(:measure, :face, at: :heading)] },
          needs: %w[measure_again]
        ) do |work, _|
          hung = work.alteration.hooked_by
          next unless hung && hung[:heading]&.corded?

          width = hung[:drawn_up]
          done(
            {finished_width: width, half: width / 2},
            check: check(:finished_width, width, Length.mm(10)),
            times: {tape: metres(width)}
          )
        end

        # The hooks into what they go into, counted; a ring for each where it hangs from rings.
        each_curtain(
          "hooks_in_as_it_is",
          ->(_) { [op(:set, :tape, at: :heading)] },
          with: %i[count],
          needs: %w[draw_up_as_it_is]
        ) do |work, _|
          figures = work.alteration.hooked_by&.fetch(:figures)
          count = figures && (figures[:hooks] || figures[:gliders] || figures[:rings] || figures[:eyelets])
          next unless count

          told = figures.slice(:hooks, :every, :pockets, :end_hooks, :pockets_of, :rings, :gliders, :eyelets)
          done(
            told,
            said: [
              figures[:hooks] ? :do : :counted,
              figures[:pockets_of] && :pronged,
              figures[:every] && :every,
              figures[:end_hooks] && :ends,
              figures[:hooks] && figures[:rings] && :rings
            ],
            times: {hook: count}
          )
        end
      end
    end
  end
end
