# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # The diary: days and benches, what is promised, and what was moved by hand.
      module Diary
        def self.registered(app)
          app.helpers(Keeping)
          app.get("/diary") { diary(typed: {"key" => params["move"].to_s}) }
          app.post("/diary/moves") { move_step }
          app.post("/jobs/:id/dates") { |id| settle_dates(id) }
          app.post("/diary/jobs") { settle_dates(params["job"].to_s, "/diary") }
          papers(app)
        end

        def self.papers(app)
          app.get("/diary.ics") do
            content_type "text/calendar"
            attachment "diary.ics" if params["file"] == "yes"
            sheet = diary_sheet
            Documents::Calendar.new(DiaryPapers.new(sheet).events, sheet.rules.zone, house.name).text
          end

          app.get("/diary/wall.pdf") do
            content_type "application/pdf"
            attachment "wall.pdf"
            DiaryPapers.new(diary_sheet).wall(params["week"])
          end
        end

        # Laying, moving and promising.
        module Keeping
          def diary_sheet = Work::Diary.of(workroom, house, Time.now)

          def diary(status: 200, **more)
            page(
              :diary,
              Screens::Diary.new(diary_sheet, week: params["week"], others: workroom.diary.without_a_day, **more),
              status: status
            )
          end

          def move_step
            form = Forms::MoveForm.new(diary_sheet, params)
            return diary(status: 422, problem: form.problem, typed: form.typed) unless form.valid?

            if form.back?
              workroom.diary.let_fall(*form.place)
            else
              workroom.diary.move(*form.place, form.day, form.at_minute)
            end
            redirect to("/diary?week=#{form.week}"), 303
          end

          def settle_dates(id, back = "/jobs/#{id}")
            merged do
              job = workroom.jobs.find(number(id))
              form = Forms::DatesForm.new(job, params)
              next page(:job, Screens::Job.new(sheet(id), dates: form), status: status_of(form)) unless form.valid?

              workroom.jobs.set_dates(job.id, form.dates, version: job.version)
              redirect to(back), 303
            end
          end
        end
      end
    end
  end
end
