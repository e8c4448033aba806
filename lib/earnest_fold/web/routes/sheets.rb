# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # What goes out of a job: documents, lists, and sheets to print.
      class Sheets < Handler
        PDF, SVG, CSV = "application/pdf", "image/svg+xml", "text/csv"
        # Of the plan of one cloth.
        PLANS = {
          "plan.pdf" => [PDF, :pdf],
          "plan.svg" => [SVG, :svg],
          "tickets.pdf" => [PDF, :tickets],
          "tickets.svg" => [SVG, :tickets_drawn]
        }.freeze
        ORDERS = {"order.csv" => [CSV, :csv], "order.pdf" => [PDF, :pdf]}.freeze
        # Of one treatment, and of a whole job: so many works are written while one waits, more of them beside.
        MAKING, AT_ONCE = Documents::MakingPapers::FILES.keys.freeze, 12

        include Planning

        get Paths.measure_sheet, :measure_sheet, to: Access::HOUSE
        get Paths.job(":id", "read-back"), :read_back, to: Access::AT_JOB
        get Paths.job(":id", "job.fold.json"), :document
        get Paths.job(":id", "job.fold.tar"), :archive, to: Access::BOOKS
        get Paths.job(":id", "needs.csv"), :needs_list
        get Paths.job(":id", "needs.pdf"), :needs
        get Paths.plan(":id", ":cloth", "bundles.pdf"), :bundles, to: Access::AT_JOB
        post Paths.plan(":id", ":cloth", "bundles/print"), :print_bundles, to: Access::AT_JOB
        PLANS.each_key { |file| get Paths.plan(":id", ":cloth", file), :plan, file, to: Access::AT_JOB }
        ORDERS.each_key { |file| get Paths.job(":id", file), :order, file }
        MAKING.each do |file|
          get Paths.work(*WORK, file), :making, file, to: Access.paper(file)
          get Paths.job(":id", file), :making_of_job, file, to: Access.paper(file)
        end

        post Paths.work(*WORK, "tags/print"), :print_tags, to: Access::HANGING

        def measure_sheet = page(:measure_sheet, Screens::MeasureSheet.new)

        def read_back(id) = page(:read_back, Screens::ReadBack.new(sheet(id)))

        def document(id)
          job = sheet(id)
          filed("application/json", job, ".fold.json")
          written(job)
        end

        # The job whole: with what its document doesn't say.
        def archive(id)
          job, rest, pictures = sheet(id), workroom.job_rest, {}
          told = rest.of(job.job, Work::Export.order(job.job)) do |picture|
            "photographs/#{pictures.size + 1}.jpg".tap { |file| pictures[file] = rest.image(picture) }
          end
          filed("application/x-tar", job, ".fold.tar")
          Documents::JobArchive.pack(written(job), told, pictures)
        end

        def needs_list(id)
          job = sheet(id)
          filed(CSV, job, "-needs.csv")
          Documents::NeedsCsv
            .new(job.work_reckoned, job.cloths_needed, job.unit, tapes: job.tapes, parts: job.parts_needed)
            .text
        end

        def needs(id)
          job = sheet(id)
          filed(PDF, job, "-needs.pdf")
          Documents::NeedsPdf
            .new(
              job.job.title,
              job.work_reckoned,
              job.cloths_needed,
              job.unit,
              on_hand: job.on_hand,
              tapes: job.tapes,
              parts: job.parts_needed
            )
            .render
        end

        def plan(file, id, cloth)
          cutting = settled(planned(id, cloth))
          type, made = PLANS.fetch(file)
          filed(type, cutting.sheet, "-#{file}")
          Documents::PlanPapers.new(cutting).public_send(made)
        end

        # Labels for what is cut, a bundle a work.
        def bundles(id, cloth)
          cutting = planned(id, cloth)
          filed(PDF, cutting.sheet, "-bundles.pdf")
          Documents::BundleLabels.new(cutting, opens(cutting.sheet, "b")).render
        end

        # On the label printer, by the queue.
        def print_bundles(id, cloth)
          cutting = planned(id, cloth)
          made = Documents::BundleLabels.new(cutting, opens(cutting.sheet, "b"))
          workroom.prints.ask(made.title, made.render)
          go(Paths.table(number(id), number(cloth)))
        end

        def order(file, id)
          cutting = Work::Cutting.of(sheet(id), workroom, patience: patience)
          cutting.cloths.each { |cloth| settled(cloth) }
          type, made = ORDERS.fetch(file)
          filed(type, cutting.sheet, "-#{file}")
          Documents::PlanPapers.order(cutting).public_send(made)
        end

        def making(file, id, treatment)
          job = sheet(id)
          work = job.work(number(treatment))
          filed(PDF, job, "-#{file}")
          Documents::MakingPapers.named(file, job, [work], opens(job))
        end

        # On the label printer, by the queue.
        def print_tags(id, treatment)
          job = sheet(id)
          work = job.work(number(treatment))
          made = Documents::MakingPapers.named("tags.pdf", job, [work], opens(job))
          workroom.prints.ask(Words.say("outside.tags_of", title: "#{work.title}, #{job.job.title}"), made)
          go(Paths.station(job.job.id, work.id, "hanging"))
        end

        def making_of_job(file, id)
          job = sheet(id)
          return beside(job, file) if job.works.size > AT_ONCE

          filed(PDF, job, "-#{file}")
          Documents::MakingPapers.named(file, job, job.works, opens(job))
        end

        private

        def written(job)
          kept = Work::Export.new(job, workroom.shelf.all(cloths: job.cloths_used)).to_h
          Documents::JobWriter.new(Documents::JobWriter::Kept.new(**kept)).text
        end

        # What the code on each work's label says.
        # @return [Hash{String => String}]
        def opens(job, what = "h") = job.works.to_h { |work| [work.id.to_s, on_label(what, job.job.id, work.id)] }

        # Written by others; one is led to where one sees how far it is.
        def beside(job, file)
          path = Paths.job(job.job.id, file)
          about = {"job" => job.job.id, "file" => file, "title" => job.job.title, "opens" => opens(job)}
          go(Paths.errand(workroom.errands.ask(Store::Errands::PAPER, about, path).id))
        end
      end
    end
  end
end
