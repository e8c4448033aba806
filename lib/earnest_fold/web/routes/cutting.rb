# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # The Cutting station, and what is done with a cloth's plan there.
      class Cutting < Handler
        include Planning
        include Showing

        open_to Access::AT_JOB
        get Paths.work(*WORK, "cutting"), :show
        get Paths.work(*WORK, "ticket"), :ticket
        post Paths.plan(":id", ":cloth", "take"), :put_on_table
        post Paths.plan(":id", ":cloth", "release"), :release
        post Paths.plan(":id", ":cloth", "wishes"), :wish
        post Paths.plan(":id", ":cloth", "parts"), :add_part
        post Paths.plan(":id", ":cloth", "parts/:part/remove"), :remove_part

        # @param part [Forms::PartForm, nil] that was refused
        def show(id, treatment, notice: nil, status: 200, part: nil)
          job = sheet(id)
          entry = job.made(number(treatment))
          screen = shown(Screens::Cutting, job, entry, asked: params, notice: notice, refused: part)
          page(:desk, screen, status: status)
        end

        def ticket(id, treatment)
          job = sheet(id)
          page(:ticket, shown(Screens::Cutting, job, job.made(number(treatment))))
        end

        def put_on_table(id, cloth)
          take(settled(planned(id, cloth)))
          go(Paths.table(number(id), number(cloth)))
        end

        def release(id, cloth)
          workroom.plans.release(workroom.jobs.find(number(id)).id, number(cloth))
          back(id)
        end

        def wish(id, cloth)
          merged do
            cutting = planned(id, cloth)
            form = Forms::WishForm.new(cutting, params)
            next show(id, params["treatment"].to_s, notice: form.problem.code, status: 422) unless form.valid?

            workroom.cutting_wishes.keep(cutting.sheet.job.id, cutting.id, form.spec, saw: cutting.wanted)
            back(id)
          end
        end

        def add_part(id, cloth)
          cutting = planned(id, cloth, most: 0)
          form = Forms::PartForm.sent(cutting.sheet, cutting.id.to_s, params)
          unless form&.valid?
            return show(id, params["treatment"].to_s, notice: :part_refused, status: 422, part: form)
          end

          workroom.jobs.set_small_parts(cutting.sheet.job.id) { |parts| parts + [form.to_be_kept] }
          back(id)
        end

        def remove_part(id, _cloth, part)
          workroom.jobs.set_small_parts(number(id)) { |parts| parts.reject { |one| one["id"] == part } }
          back(id)
        end

        private

        # To the station of the treatment that was looked at.
        def back(id)
          treatment = params["treatment"].to_s
          one = treatment.match?(/\A\d{1,9}\z/)
          go(one ? Paths.station(number(id), treatment, "cutting") : Paths.job(number(id)))
        end
      end
    end
  end
end
