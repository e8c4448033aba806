# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # Tops that are sewn through: pockets, tabs, rings.
      module Steps
        module_function

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
        private_class_method :sewn_through

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
      end
    end
  end
end
