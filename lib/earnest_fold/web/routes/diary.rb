# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # The diary: days and benches, what is promised, and what was moved by hand.
      class Diary < Handler
        include FirstScreen

        get Paths.diary, :show, to: Access::WEEK
        post Paths.diary_moves, :move
        post Paths.job(":id", "dates"), :settle_dates
        post Paths.diary_jobs, :promise
        get Paths.calendar, :calendar, to: Access::WEEK
        get Paths.wall, :wall, to: Access::WEEK
        get Paths.feed(":key"), :feed, to: Access::OPEN

        def show(status: 200, typed: {"key" => params["move"].to_s}, **more)
          shown = Screens::Diary.new(
            diary,
            week: params["week"],
            others: may?(Access::MAKERS) ? workroom.diary.without_a_day : [],
            hanging: hangs?,
            whereabouts: workroom.customers.of_jobs(diary.sheets.map { |sheet| sheet.job.id }),
            typed: typed,
            **more
          )
          page(:diary, shown, status: status)
        end

        def move
          merged do
            @diary = nil
            form = Forms::MoveForm.new(diary, params)
            status = form.meanwhile? ? 409 : 422
            next show(status: status, problem: form.problem, typed: form.typed) unless form.valid?

            moved(form)
            go(Paths.diary(form.week))
          end
        end

        # A job chosen in the diary.
        def promise = settle_dates(params["job"].to_s, Paths.diary)

        def settle_dates(id, back = Paths.job(id))
          keep_of_job(id, Forms::DatesForm, :dates, back) do |job, form|
            workroom.jobs.set_dates(job.id, form.dates, version: job.version)
          end
        end

        def calendar
          attachment("diary.ics") if params["file"] == "yes"
          told(diary, house, hanging: hangs?)
        end

        # Whoever has the address has the week, as long as they whose it is may see it.
        def feed(key)
          theirs, role = Store::Joining.calendar(key)
          raise Store::Missing, "no such calendar" unless theirs && Access::WEEK.roles.include?(role)

          settled = theirs.house.read
          told(Work::Diary.of(theirs, settled, Time.now), settled, hanging: role == Store::People::FITTER)
        end

        def wall
          sent_as("application/pdf", "wall.pdf")
          Documents::DiaryPapers.new(diary, hanging: hangs?).wall(Reckoning::FieldKinds::DateKind.date(params["week"]))
        end

        private

        # @param form [Forms::MoveForm]
        def moved(form)
          return workroom.diary.move(*form.place, form.day, form.at_minute, was: form.was) unless form.back?

          workroom.diary.let_fall(form.was) if form.was
        end

        # @return [String] a calendar
        def told(diary, house, hanging:)
          content_type("text/calendar")
          events = Documents::DiaryPapers.new(diary, hanging: hanging).events
          Documents::Calendar.new(events, diary.rules.zone, house.name).text
        end

        # The week of whoever hangs is what is hung.
        def hangs? = who.role == Store::People::FITTER

        def diary = @diary ||= Work::Diary.of(workroom, house, Time.now)
      end
    end
  end
end
