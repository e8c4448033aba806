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
            Documents::JobWriter.new(job.kept).text
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
            Documents::NeedsPdf.new(job.job.title, job.entries.filter_map(&:reckoning), job.cloths_needed, job.unit, on_hand: job.on_hand).render
          end
        end

        def self.sheets(app)
          app.get("/jobs/:id/read-back") { |id| page(:read_back, Screens::ReadBack.new(sheet(id))) }
          app.get("/measure-sheet") { page(:measure_sheet, Screens::MeasureSheet.new) }
        end

        # How a file is named and sent.
        module Filing
          # @param job [JobSheet]
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
