# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # The steps of alterations.
      module AlteringSteps
        # Marks and faults noted by place before anything is touched.
        once("note_condition", ->(_) { [op(:note, :face)] }) do |work|
          done({curtains: work.curtain.curtains}, times: {mark: work.curtain.curtains})
        end

        # Each curtain measured again, at both edges: a length on paper may be of the other one.
        each_curtain("measure_again", ->(_) { [op(:lay, :face), op(:measure, :face)] }) do |work, _|
          length = work.as_it_came
          done(
            {as_it_came: length},
            check: at_both_edges(:as_it_came, length, Length.mm(5)),
            times: {mark: 1}
          )
        end

        # The old hem let down, its fold pressed out.
        each_curtain(
          "unpick_hem",
          ->(_) { [op(:unpick, :face, at: :hem), op(:press, :face, at: :hem)] }
        ) do |work, _|
          next unless work.let_down?

          done(
            {old_hem: work.alteration.existing_hem.taken, available: work.alteration.available},
            times: {unpick: work.across, press: work.across}
          )
        end

        # A heading that came is taken off before the new one is measured.
        each_curtain(
          "take_off_old_heading",
          ->(_) { [op(:unpick, :face, at: :heading), op(:press, :face, at: :top)] }
        ) do |work, _|
          next unless work.alteration.old_heading_off?

          done({band: work.curtain.band}, times: {unpick: work.across, press: work.across})
        end

        # Several cloths joined side by side, their made edges where they show.
        each_curtain(
          "join_cloths",
          ->(_) {
            [op(:pin, :face, at: :seam), op(:sew, :face, at: :seam, by: :machine), op(:press, :face, at: :seam)]
          }
        ) do |work, _|
          count = work.alteration.cloths_joined(work.curtain)
          next if count < 2

          done(
            {cloths: count, width_in_all: work.alteration.across(work.curtain) * count},
            times: {set_up: 1, join: metres(work.as_it_came) * (count - 1)}
          )
        end

        # Every line drawn at its running distance from the edge that is kept, the same at both edges.
        each_curtain(
          "mark_lines",
          ->(_) { [op(:lay, :face), op(:measure, :face), op(:mark, :face)] },
          needs: %w[measure_again unpick_hem take_off_old_heading join_cloths]
        ) do |work, _|
          next if work.lines.empty?

          main = work.main_line
          done(
            {**work.lines_by_name, table_length: work.longer_than_the_table? ? work.house.table_length : nil},
            said: [:do, work.longer_than_the_table? && :in_sections],
            check: main && at_both_edges(main.name, main.at, work.house.pair_tolerance),
            times: {mark: 1}
          )
        end

        # A pair's lines laid on each other before either curtain is cut or sewn.
        once("compare_lines", ->(_) { [op(:compare, :face)] }, needs: %w[mark_lines]) do |work|
          next unless work.pair? && !work.alteration.cuts_nothing?

          done(
            {tolerance: work.house.pair_tolerance, **work.lines_by_name.first(1).to_h},
            check: at_both_edges(:difference, Length::ZERO, work.house.pair_tolerance),
            times: {compare: 1}
          )
        end

        # What is too long cut off, on the side that is kept.
        each_curtain(
          "cut_off",
          ->(_) { [op(:lay, :face), op(:cut, :face)] },
          needs: %w[mark_lines compare_lines]
        ) do |work, _|
          cuts = work.alteration.tucked? ? [] : work.lines.select { |line| line.deed == :cut }
          next if cuts.empty?

          done(
            {**cuts.to_h { |line| [line.name, line.at] }, left_over: work.made.left_over},
            times: {cut: work.across * cuts.size}
          )
        end

        # The tuck under the band: pinned, tacked where the cloth bunches, sewn on the band's line, measured.
        each_curtain(
          "sew_top_tuck",
          ->(_) {
            [op(:fold, :face, at: :band), op(:pin, :face, at: :band), op(:tack, :face, at: :band),
              op(:sew, :face, at: :band, by: :machine), op(:measure, :face)]
          },
          needs: %w[mark_lines compare_lines]
        ) do |work, _|
          tuck = work.alteration.top_tuck or next
          length = work.as_it_came - tuck.remove
          done(
            {remove: tuck.remove, tuck_fold: tuck.remove / 2, length_now: length},
            check: at_both_edges(:length_now, length, work.house.pair_tolerance),
            times: {set_up: 1, join: work.across}
          )
        end

        # The pleat alone cut off, the curtain laid away, its edge overcast.
        each_curtain(
          "cut_top_strip",
          ->(_) { [op(:lay, :face), op(:cut, :face, at: :seam), op(:sew, :face, at: :edge, by: :machine)] },
          needs: %w[sew_top_tuck]
        ) do |work, _|
          tuck = work.alteration.top_tuck or next
          done({strip: tuck.strip, seam: tuck.seam}, times: {cut: work.across, join: work.across})
        end

        # The tuck above the made hem: sewn against its stitching, and the length measured before anything is cut.
        each_curtain(
          "sew_tuck",
          ->(_) {
            [op(:fold, :face, at: :seam), op(:pin, :face, at: :seam), op(:sew, :face, at: :seam, by: :machine),
              op(:measure, :face)]
          },
          needs: %w[mark_lines compare_lines into_channel]
        ) do |work, _|
          tuck = work.alteration.foot_tuck or next
          length = work.as_it_came - (work.alteration.top_tuck&.remove || Length::ZERO) - tuck.remove
          done(
            {
              remove: tuck.remove,
              tuck_fold: tuck.remove / 2,
              length_now: length,
              made_hem: work.alteration.made_hem.depth
            },
            check: at_both_edges(:length_now, length, work.house.pair_tolerance),
            times: {set_up: 1, join: work.across}
          )
        end

        # The strip of the tuck cut off, the curtain itself out of the way.
        each_curtain(
          "cut_strip",
          ->(_) { [op(:lay, :face), op(:cut, :face, at: :seam), op(:sew, :face, at: :edge, by: :machine)] },
          needs: %w[sew_tuck]
        ) do |work, _|
          tuck = work.alteration.foot_tuck or next
          done(
            {strip: tuck.strip, seam: tuck.seam, made_hem: work.alteration.made_hem.depth},
            times: {cut: work.across, join: work.across}
          )
        end

        # Under a tape the raw edge goes up into its channel and is stitched there, the cords clear.
        each_curtain(
          "into_channel",
          ->(_) {
            [op(:fold, :face, at: :heading), op(:sew, :face, at: :heading, by: :machine), op(:press, :face, at: :seam)]
          },
          needs: %w[cut_top_strip]
        ) do |work, _|
          tuck = work.alteration.top_tuck or next
          done({seam: tuck.seam}, times: {join: work.across, press: work.across})
        end

        # The seam above the made hem pressed open first, then down behind it.
        each_curtain(
          "press_seam_down",
          ->(_) { [op(:press, :face, at: :seam)] },
          needs: %w[cut_strip]
        ) do |work, _|
          next unless work.alteration.foot_tuck

          done({made_hem: work.alteration.made_hem.depth}, times: {press: work.across * 2})
        end

        # What the foot wants laid on: a facing, or a band.
        each_curtain(
          "add_to_foot",
          ->(_) {
            [op(:pin, :face, at: :foot), op(:sew, :face, at: :foot, by: :machine), op(:press, :face, at: :foot)]
          },
          needs: %w[unpick_hem mark_lines compare_lines]
        ) do |work, _|
          figures = work.alteration.added_to_foot or next
          done(figures, times: {set_up: 1, join: work.across * 2, press: work.across})
        end

        # The new hem pressed, both folds measured while it is.
        each_curtain(
          "press_new_hem",
          ->(_) { [op(:fold, :face, at: :hem), op(:press, :face, at: :hem)] },
          needs: %w[cut_off add_to_foot cut_strip]
        ) do |work, _|
          hem = work.alteration.new_hem or next
          next if hem.taken.zero?

          pieces = work.alteration.pieces_hemmed
          done(
            {**folded(hem), hem_depth: hem.depth, pieces_hemmed: pieces},
            said: [fold_words(hem), pieces && :pieces],
            check: check(:hem_depth, hem.depth, Length.mm(2)),
            times: {set_up: 1, press: work.across * (pieces&.size || 1)}
          )
        end

        # A pair compared at both edges before either hem is sewn.
        once("compare_edges", ->(_) { [op(:compare, :face, at: :hem)] }, needs: %w[press_new_hem]) do |work|
          several = work.pair? || work.alteration.pieces_made > 1
          next unless several && work.alteration.new_hem

          done(
            {tolerance: work.house.pair_tolerance, length_at_last: work.alteration.length_at_last},
            check: at_both_edges(:difference, Length::ZERO, work.house.pair_tolerance),
            times: {compare: 1}
          )
        end

        # The new hem sewn.
        each_curtain(
          "sew_new_hem",
          ->(work) { [op(:sew, :face, at: :hem, by: work.sewn)] },
          needs: %w[press_new_hem compare_edges]
        ) do |work, _|
          hem = work.alteration.new_hem or next
          next if hem.taken.zero?

          done(
            {hem_depth: hem.depth, flat_width: work.curtain.flat_width, pieces_hemmed: work.alteration.pieces_hemmed},
            said: [work.sewn, work.alteration.pieces_hemmed && :pieces],
            times: {set_up: 1, "hem_by_#{work.sewn}": work.across * (work.alteration.pieces_hemmed&.size || 1)}
          )
        end

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

        # The length as it was asked for, measured at both edges.
        each_curtain(
          "check_length",
          ->(_) { [op(:lay, :face), op(:measure, :face)] },
          needs: %w[
            hooks_in_as_it_is sew_casing put_on_clips sew_new_hem cut_strip into_channel press_seam_down make_new_top
            add_to_foot
          ]
        ) do |work, _|
          next if work.alteration.cuts_nothing?

          length = work.alteration.length_at_last
          done(
            {length_at_last: length, wanted_length: work.alteration.wanted_length},
            check: at_both_edges(:length_at_last, length, work.house.pair_tolerance),
            times: {mark: 1}
          )
        end

        # Pressed, folded, what was noted read through once more.
        once("press_and_hand_back", ->(_) { [op(:press, :face)] }, needs: %w[check_length hooks_in_as_it_is]) do |work|
          done(
            {curtains: work.curtain.curtains},
            said: [work.curtain.lined ? :lined : :unlined, :do],
            times: {finish: work.curtain.curtains}
          )
        end
      end
    end
  end
end
