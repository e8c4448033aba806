# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # What goes out of a job and comes into one: documents, lists, and sheets to print.
      module Papers
        def self.registered(app)
          app.helpers(Filing)
          documents(app)
          lists(app)
          sheets(app)
          plans(app)
          making(app)
        end

        def self.documents(app)
          app.post("/jobs/import") do
            form = Forms::ImportForm.new(params["file"], house.sets)
            next page(:import, Screens::Import.new(form.problems), status: 422) unless form.valid?

            redirect to("/jobs/#{workroom.jobs.bring_in(**form.values)}"), 303
          end

          app.get("/jobs/:id/job.fold.json") do |id|
            job = sheet(id)
            filed("application/json", job, ".fold.json")
            kept = Work::Export.new(job, workroom.shelf.all(cloths: job.cloths_used)).to_h
            Documents::JobWriter.new(Documents::JobWriter::Kept.new(**kept)).text
          end

          app.get("/jobs/:id/needs.csv") do |id|
            job = sheet(id)
            filed("text/csv", job, "-needs.csv")
            Documents::NeedsCsv.new(job.entries.filter_map(&:reckoning), job.cloths_needed, job.unit).text
          end
        end

        def self.lists(app)
          app.get("/jobs/:id/needs.pdf") do |id|
            job = sheet(id)
            filed("application/pdf", job, "-needs.pdf")
            Documents::NeedsPdf.new(
              job.job.title,
              job.entries.filter_map(&:reckoning),
              job.cloths_needed,
              job.unit,
              on_hand: job.on_hand
            ).render
          end
        end

        def self.sheets(app)
          app.get("/jobs/:id/read-back") { |id| page(:read_back, Screens::ReadBack.new(sheet(id))) }
          app.get("/measure-sheet") { page(:measure_sheet, Screens::MeasureSheet.new) }
        end

        def self.plans(app)
          {
            "plan.pdf" => ["application/pdf", :pdf.to_proc],
            "plan.svg" => ["image/svg+xml", :svg.to_proc],
            "tickets.pdf" => ["application/pdf", :tickets.to_proc],
            "tickets.svg" => ["image/svg+xml", :tickets_drawn.to_proc]
          }.each do |file, (type, made)|
            app.get("/jobs/:id/cutting/:cloth/#{file}") do |id, cloth|
              cutting = planned(id, cloth)
              filed(type, cutting.sheet, "-#{file}")
              made.call(PlanPapers.new(cutting))
            end
          end

          {
            "order.csv" => ["text/csv", :csv.to_proc],
            "order.pdf" => ["application/pdf", :pdf.to_proc]
          }.each do |file, (type, made)|
            app.get("/jobs/:id/#{file}") do |id|
              job = sheet(id)
              filed(type, job, "-#{file}")
              made.call(PlanPapers.order(Work::Cutting.of(job, workroom)))
            end
          end
        end

        MAKING = {
          "work-order.pdf" => :work.to_proc,
          "strip.pdf" => :strip.to_proc,
          "hanging-sheet.pdf" => :hanging.to_proc,
          "tags.pdf" => :tags.to_proc
        }.freeze

        # Of one treatment, and of a whole job.
        def self.making(app)
          MAKING.each do |file, made|
            app.get("/jobs/:id/treatments/:treatment/#{file}") do |id, treatment|
              job = sheet(id)
              filed("application/pdf", job, "-#{file}")
              made.call(MakingPapers.new(job, [job.fetch(number(treatment))]))
            end

            app.get("/jobs/:id/#{file}") do |id|
              job = sheet(id)
              filed("application/pdf", job, "-#{file}")
              made.call(MakingPapers.new(job, job.works))
            end
          end
        end

        # How a file is named and sent.
        module Filing
          # @param job [Work::Job]
          # @param ending [String]
          def filed(type, job, ending)
            content_type type
            attachment "#{job.job.title.gsub(/[^\w-]+/, "-")}#{ending}"
          end
        end
      end
    end
  end
end
