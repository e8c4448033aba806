# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # What is sewn along the heading, and how it is formed.
      module Steps
        module_function

        # @return [Length, nil]
        def asked_of_heading(work, name)
          value = work.heading.respond_to?(name) ? work.heading.public_send(name) : nil
          value if value&.positive?
        end

        # Tape laid along the top, pockets outward, pinned in two rows, and tried before it is sewn.
        each_curtain(
          "lay_tape",
          ->(work) {
            [op(:lay, :face, :tape, at: :heading), op(:measure, :tape, at: :heading),
              (op(:tack, :face, :tape, at: :heading) if work.face.creeps),
              op(:pin, :face, :tape, at: :heading)].compact
          },
          needs: %w[turn_top seam_across_top mark_drop]
        ) do |work, curtain|
          turned_in, below = asked_of_heading(work, :tape_turn_in), asked_of_heading(work, :tape_below)
          length = curtain.heading[:tape_length] || curtain.flat_width
          done(
            {tape_length: length, turned_in: turned_in, tape_below: below, **curtain.heading.slice(:pockets)},
            said: [
              below ? :below : :do,
              turned_in && :turned_in
            ],
            times: {set_up: 1, mark: 1/2r}
          )
        end

        # Both long edges sewn in the same direction, then the ends.
        each_curtain(
          "sew_tape",
          ->(work) { [op(:sew, *tape_layers(work), at: :heading, by: :machine)] },
          needs: %w[lay_tape]
        ) do |work, curtain|
          length = curtain.heading[:tape_length] || curtain.flat_width
          done(
            {tape_length: length},
            said: [:do, face_alone?(work) && :face_alone],
            times: {tape: metres(length)}
          )
        end

        # @return [Boolean] whether the tape is sewn to the face alone, the lining taken up under it
        def face_alone?(work) = work.heading.lining_taken_up? && !work.treatment.lining.nil?

        def tape_layers(work) = (work.treatment.lining && !face_alone?(work)) ? %i[face lining tape] : %i[face tape]

        # The lining taken up under the tape, its edge sewn by hand: no stitch shows in front.
        each_curtain(
          "take_up_lining",
          ->(_) {
            [op(:fold, :lining, at: :top), op(:pin, :lining, at: :top),
              op(:sew, :lining, :tape, at: :heading, by: :hand)]
          },
          needs: %w[sew_tape]
        ) do |work, curtain|
          next unless face_alone?(work)

          done({flat_width: curtain.flat_width}, times: {hem_by_hand: metres(curtain.flat_width)})
        end

        # Cords secured at the far end first, drawn on a flat board to the finished width, and evened.
        each_curtain(
          "draw_up",
          ->(_) { [op(:draw, :face, :tape, at: :heading), op(:measure, :face, at: :heading)] },
          needs: %w[sew_tape]
        ) do |_, curtain|
          done(
            {finished_width: curtain.finished_width, half: curtain.finished_width / 2},
            said: [:do, curtain.seams.positive? && :seams],
            check: check(:finished_width, curtain.finished_width, Length.mm(10)),
            times: {tape: metres(curtain.finished_width)}
          )
        end

        # Pleats and spaces marked from the leading edge.
        each_curtain(
          "mark_pleats",
          ->(_) { [op(:measure, :face, at: :heading), op(:mark, :face, at: :heading)] },
          needs: %w[turn_top]
        ) do |_, curtain|
          done(
            curtain.heading.slice(:pleats, :space, :take_up),
            said: [
              curtain.span.lead_flat.positive? && :overlap,
              :do,
              curtain.span.return_flat.positive? && :return
            ],
            times: {mark: 1}
          )
        end

        # Each pleat pinned, sewn, and finished by its style.
        each_curtain(
          "sew_pleats",
          ->(work) {
            [op(:pin, :face, at: :heading), op(:sew, *(work.treatment.lining ? %i[face lining] : %i[face]), :buckram,
              at: :heading, by: :machine), op(:measure, :face, at: :heading)]
          },
          needs: %w[mark_pleats]
        ) do |work, curtain|
          done(
            {finished_width: curtain.finished_width, **curtain.heading.slice(:pleats, :take_up)},
            said: [:do, work.heading.fold_style&.to_sym],
            check: check(:finished_width, curtain.finished_width, Length.mm(10)),
            times: {pleat: [curtain.heading[:pleats].to_i, 1].max}
          )
        end

        # Each ring drawn, cut inside its line, and snapped.
        each_curtain(
          "set_eyelets",
          ->(_) {
            [op(:mark, :face, at: :heading), op(:cut, :face, at: :heading), op(:set, :face, at: :heading)]
          },
          with: %i[snaps],
          needs: %w[turn_top sew_tape]
        ) do |work, curtain|
          done(
            curtain.heading.slice(:eyelets, :pitch, :first),
            said: [work.heading.taped? ? :in_tape : :do],
            times: {eyelet: curtain.heading[:eyelets]}
          )
        end

        # The pocket sewn at its depth from the top, its ends open.
        each_curtain(
          "sew_pocket",
          ->(work) { [op(:pin, :face, at: :top), op(:sew, *sewn_through(work), at: :top, by: :machine)] },
          needs: %w[turn_top seam_across_top]
        ) do |work, curtain|
          frill = asked_of_heading(work, :frill)
          lower = curtain.heading[:pocket] + (frill || Length::ZERO)
          done(
            {sewn_at: lower, pocket: curtain.heading[:pocket], frill: frill},
            said: [frill ? :with_frill : :do],
            times: {set_up: 1, side_by_machine: metres(curtain.flat_width) * (frill ? 2 : 1)}
          )
        end

        def sewn_through(work) = work.treatment.lining ? %i[face lining] : %i[face]

        # Threaded, the gathers evened, and measured along the rod.
        each_curtain(
          "thread_rod",
          ->(_) { [op(:thread, :face, at: :heading), op(:measure, :face, at: :heading)] },
          with: %i[rod],
          needs: %w[sew_pocket]
        ) do |_, curtain|
          done(
            {finished_width: curtain.finished_width},
            check: check(:finished_width, curtain.finished_width, Length.mm(10)),
            times: {mark: 1/2r}
          )
        end

        # Tabs cut, sewn and turned, of all curtains together.
        once("make_tabs", ->(_) { [op(:cut, :face), op(:sew, :face, by: :machine), op(:press, :face)] }) do |work|
          tabs = work.heading.tabs(work.curtains.map(&:heading)) or next
          done({tabs: tabs[:count], tab_length: tabs[:drop], tab_width: tabs[:tab_width]}, times: {pleat: tabs[:count]})
        end

        # Tabs set between the top and its facing, and sewn in.
        each_curtain(
          "set_tabs",
          ->(work) {
            [op(:pin, :face, :trimming, at: :top), op(:sew, *sewn_through(work), :trimming, at: :top, by: :machine)]
          },
          needs: %w[make_tabs turn_top seam_across_top]
        ) do |_, curtain|
          done(
            {tabs: curtain.heading[:tabs]},
            times: {set_up: 1, side_by_machine: metres(curtain.flat_width), hook: curtain.heading[:tabs]}
          )
        end

        # A top that nothing is laid on, sewn at its fold.
        each_curtain(
          "sew_top",
          ->(work) { [op(:pin, :face, at: :top), op(:sew, *sewn_through(work), at: :top, by: :machine)] },
          needs: %w[turn_top seam_across_top]
        ) do |work, curtain|
          next if work.top.zero?

          done({top: work.top}, times: {set_up: 1, side_by_machine: metres(curtain.flat_width)})
        end

        # Rings or clips, at both edges and evenly between.
        each_curtain(
          "put_on_rings",
          ->(_) { [op(:measure, :face, at: :heading), op(:set, :face, at: :heading)] },
          with: %i[count],
          needs: %w[sew_top]
        ) do |_, curtain|
          rings = curtain.heading[:rings]
          done({rings: rings, ring_gap: (curtain.flat_width / (rings - 1))}, times: {hook: rings})
        end

        # Webbing along the top.
        each_curtain(
          "sew_webbing",
          ->(work) {
            [op(:pin, :face, :webbing, at: :heading),
              op(:sew, *sewn_through(work), :webbing, at: :heading, by: :machine)]
          },
          needs: %w[turn_top seam_across_top]
        ) { |_, curtain| done({flat_width: curtain.flat_width}, times: {set_up: 1, tape: metres(curtain.flat_width)}) }

        # Each pleat formed to its take-up, with a seam behind the webbing down its middle.
        each_curtain(
          "form_pleats",
          ->(work) {
            [op(:measure, :face, at: :heading), op(:mark, :webbing, at: :heading),
              op(:sew, *sewn_through(work), :webbing, at: :heading, by: :machine)]
          },
          needs: %w[sew_webbing]
        ) do |_, curtain|
          pleats = curtain.heading[:eyelets]
          extra = curtain.flat_width - curtain.finished_width
          next unless extra.positive?

          done(
            {take_up: extra / pleats, pleats: pleats, finished_width: curtain.finished_width},
            check: check(:finished_width, curtain.finished_width, Length.mm(10)),
            times: {pleat: pleats}
          )
        end

        # A grommet at each pleat, and what it is tied or snapped with.
        each_curtain(
          "set_grommets",
          ->(_) { [op(:mark, :webbing, at: :heading), op(:set, :webbing, at: :heading)] },
          with: %i[snaps],
          needs: %w[form_pleats sew_webbing]
        ) do |_, curtain|
          count = curtain.heading[:eyelets]
          done(
            {grommets: count, grommet_gap: (count > 1) ? curtain.finished_width / (count - 1) : nil},
            times: {eyelet: count}
          )
        end

        # A heading that says nothing more of itself: set by its figures.
        each_curtain(
          "form_heading",
          ->(_) { [op(:measure, :face, at: :heading), op(:mark, :face, at: :heading)] },
          with: %i[needle],
          needs: %w[turn_top]
        ) do |work, curtain|
          figures = curtain.heading.select { |_, value| value.is_a?(Length) || value.is_a?(Integer) }
          done(
            {finished_width: curtain.finished_width, **figures},
            check: check(:finished_width, curtain.finished_width, Length.mm(10)),
            times: {pleat: [work.marks(curtain).size, 1].max}
          )
        end

        # Hooks counted and put in: at the pin setting, into the pockets, or into the loops.
        each_curtain(
          "put_in_hooks",
          ->(_) { [op(:set, :tape, at: :heading)] },
          with: %i[count],
          needs: %w[draw_up sew_tape sew_pleats take_up_lining]
        ) do |work, curtain|
          count = curtain.heading[:hooks] or next
          pins = asked_of_heading(work, :pin_setting)
          done(
            {
              hooks: count,
              every: work.heading.hooked_every,
              end_hooks: curtain.heading[:end_hooks],
              pin_setting: pins,
              pockets_of: work.heading.pockets_of(curtain.heading)
            },
            said: [
              work.heading.hooked_as,
              work.heading.hooked_every && :every,
              curtain.heading[:end_hooks] && :ends,
              pins && :pin_setting
],
            times: {hook: count}
          )
        end
      end
    end
  end
end
