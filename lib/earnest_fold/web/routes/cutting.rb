# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # The Cutting station, and what is done with a cloth's plan there.
      module Cutting
        def self.registered(app)
          app.helpers(Planning)
          station(app)
          plan(app)

          app.post("/jobs/:id/cutting/:cloth/parts") { |id, cloth| add_part(sheet(id), cloth) }
          app.post("/jobs/:id/cutting/:cloth/parts/:part/remove") { |id, _, part| remove_part(sheet(id), part) }
        end

        def self.station(app)
          app.get("/jobs/:id/treatments/:treatment/cutting") { |id, treatment| cutting_station(id, treatment) }

          app.get("/jobs/:id/treatments/:treatment/ticket") do |id, treatment|
            job = sheet(id)
            page(
              :ticket,
              Screens::Cutting.new(job, job.fetch_made(number(treatment)), cutting: Work::Cutting.of(job, workroom))
            )
          end
        end

        def self.plan(app)
          app.post("/jobs/:id/cutting/:cloth/take") do |id, cloth|
            take(planned(id, cloth))
            redirect to("/jobs/#{number(id)}/table/#{number(cloth)}"), 303
          end

          app.post("/jobs/:id/cutting/:cloth/release") do |id, cloth|
            workroom.plans.release(number(id), number(cloth))
            redirect to(back_to_station(id)), 303
          end

          app.post("/jobs/:id/cutting/:cloth/wishes") do |id, cloth|
            merged do
              cutting = planned(id, cloth)
              form = Forms::WishForm.new(cutting, params)
              unless form.valid?
                next cutting_station(id, params["treatment"].to_s, notice: form.problem.code, status: 422)
              end

              workroom.cutting_wishes.keep(cutting.sheet.job.id, cutting.id, form.spec, saw: cutting.wanted)
              redirect to(back_to_station(id)), 303
            end
          end
        end

        # Plans, and the way back from what is done with them.
        module Planning
          # @return [Work::ClothCutting]
          def planned(id, cloth) = Work::Cutting.of(sheet(id), workroom).cloth(number(cloth))

          # Takes the plan as it is now; where somebody cut or took some of the same cloth meanwhile, it is planned
          # again.
          # @raise [Store::Missing] where there is nothing to cut from
          def take(cutting, again: true)
            plan = cutting.plan or raise Store::Missing, "nothing to cut from"
            workroom.plans.take(
              cutting.sheet.job.id,
              cutting.id,
              {proved: plan.proved, used: plan.length_used, bound: plan.bound},
              cutting.lines,
              seen: cutting.seen
            )
          rescue Store::Stale
            raise unless again

            take(planned(cutting.sheet.job.id.to_s, cutting.cloth.id), again: false)
          end

          def cutting_station(id, treatment, notice: nil, status: 200)
            job = sheet(id)
            entry = job.fetch_made(number(treatment))
            log = Work::BenchLog.new(workroom.bench.entries(entry.id))
            page(
              :desk,
              Screens::Cutting.new(
                job,
                entry,
                cutting: Work::Cutting.of(job, workroom),
                asked: params,
                log: log,
                notice: notice
              ),
              status: status
            )
          end

          # @return [String] the station of the treatment that was looked at
          def back_to_station(id)
            treatment = params["treatment"].to_s
            if treatment.match?(/\A\d{1,9}\z/)
              "/jobs/#{number(id)}/treatments/#{treatment}/cutting"
            else
              "/jobs/#{number(id)}"
            end
          end

          def add_part(job, cloth)
            form = Forms::PartForm.new(job, cloth, params)
            unless form.valid?
              return cutting_station(job.job.id.to_s, params["treatment"].to_s, notice: :part_refused, status: 422)
            end

            workroom.jobs.set_small_parts(job.job.id) { |parts| parts + [form.kept] }
            redirect to(back_to_station(job.job.id.to_s)), 303
          end

          def remove_part(job, part)
            workroom.jobs.set_small_parts(job.job.id) { |parts| parts.reject { |one| one["id"] == part } }
            redirect to(back_to_station(job.job.id.to_s)), 303
          end
        end
      end
    end
  end
end
