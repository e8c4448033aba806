# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # Pleats by hand, eyelets, and what a stage hangs by.
      module Steps
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
          needs: %w[turn_top sew_tape sew_second_row sew_top]
        ) do |work, curtain|
          done(
            curtain.heading.slice(:eyelets, :pitch, :first),
            said: [work.heading.taped? ? :in_tape : :do],
            times: {eyelet: curtain.heading[:eyelets]}
          )
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
        ) do |work, curtain|
          count = curtain.heading[:eyelets]
          done(
            {
              grommets: count,
              grommet: work.heading.grommet,
              grommet_gap: (count > 1) ? curtain.finished_width / (count - 1) : nil
            },
            said: [:do, work.heading.grommet && :size],
            times: {eyelet: count}
          )
        end

        # A tie or a snap hook through each grommet.
        each_curtain(
          "put_in_fastenings",
          ->(_) { [op(:set, :webbing, at: :heading)] },
          with: %i[count],
          needs: %w[set_grommets]
        ) do |_, curtain|
          fastened = curtain.heading.slice(:ties, :snaps)
          done(fastened, said: fastened.keys, times: {hook: fastened.values.sum}) unless fastened.empty?
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
      end
    end
  end
end
