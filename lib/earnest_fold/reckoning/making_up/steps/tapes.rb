# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # Tapes, their cords and hooks. What hangs on a tape that is sewn needs it sewn, one way or the other.
      module Steps
        module_function

        # @return [Length, nil]
        #
        #   MakingUp::Steps.asked_of_heading(making_case, :tape_turn_in) # => 30 mm
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
          needs: %w[turn_top seam_across_top mark_drop set_frill]
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

        # The tape below, the curtain above, sewn a foot's width along the fold: the top row can't rope.
        each_curtain(
          "sew_top_row",
          ->(work) {
            [op(:lay, :face, :tape, at: :heading), op(:measure, :tape, at: :heading),
              op(:pin, :face, :tape, at: :heading),
              op(:sew, *tape_layers(work), at: :heading, by: :machine)]
          },
          needs: %w[turn_top seam_across_top mark_drop set_frill]
        ) do |work, curtain|
          turned_in = asked_of_heading(work, :tape_turn_in)
          length = curtain.heading[:tape_length]
          done(
            {tape_length: length, turned_in: turned_in, **curtain.heading.slice(:pockets)},
            said: [:do, turned_in && :turned_in],
            times: {set_up: 1, mark: 1/2r, tape: metres(length) / 2}
          )
        end

        # What of the turning would show below the tape goes.
        each_curtain(
          "trim_turning",
          ->(_) { [op(:cut, :face, at: :top)] },
          needs: %w[sew_top_row]
        ) { |work, curtain| done({flat_width: curtain.flat_width}, times: {mark: 1/2r}) unless work.top.zero? }

        # The tape folded down over it and felt for, its lower edge sewn, then the ends.
        each_curtain(
          "sew_second_row",
          ->(work) { [op(:fold, :tape, at: :heading), op(:sew, *tape_layers(work), at: :heading, by: :machine)] },
          needs: %w[sew_top_row trim_turning]
        ) do |_, curtain|
          length = curtain.heading[:tape_length]
          done({tape_length: length}, times: {tape: metres(length) / 2})
        end

        # @return [Boolean] whether the tape is sewn to the face alone, the lining taken up under it
        #
        #   MakingUp::Steps.face_alone?(making_case) # => false
        def face_alone?(work) = work.heading.lining_taken_up? && !work.treatment.lining.nil?

        def tape_layers(work) = (work.treatment.lining && !face_alone?(work)) ? %i[face lining tape] : %i[face tape]
        private_class_method :tape_layers

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
          needs: %w[sew_tape sew_second_row]
        ) do |_, curtain|
          done(
            {finished_width: curtain.finished_width, half: curtain.finished_width / 2},
            said: [:do, curtain.seams.positive? && :seams],
            check: check(:finished_width, curtain.finished_width, Length.mm(10)),
            times: {tape: metres(curtain.finished_width)}
          )
        end

        # Hooks counted and put in: at the pin setting, into the pockets, or into the loops.
        each_curtain(
          "put_in_hooks",
          ->(_) { [op(:set, :tape, at: :heading)] },
          with: %i[count],
          needs: %w[draw_up sew_tape sew_second_row sew_pleats take_up_lining]
        ) do |work, curtain|
          count = curtain.heading[:hooks] or next
          pins = asked_of_heading(work, :pin_setting)
          row = work.heading.respond_to?(:hook_row) ? work.heading.hook_row : nil
          done(
            {
              hooks: count,
              every: work.heading.hooked_every,
              end_hooks: curtain.heading[:end_hooks],
              pin_setting: pins,
              hook_below: asked_of_heading(work, :hook_below),
              pockets_of: work.heading.pockets_of(curtain.heading),
              **(work.heading.hooked_every ? curtain.heading.slice(:pockets) : {})
            },
            said: [
              work.heading.hooked_as,
              work.heading.hooked_every && :every,
              curtain.heading[:end_hooks] && :ends,
              pins && :pin_setting,
              row && :"row_#{row}"
            ],
            times: {hook: count}
          )
        end
      end
    end
  end
end
