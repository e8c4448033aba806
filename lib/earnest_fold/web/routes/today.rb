# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # What a day begins with.
      class Today < Handler
        get Paths.home, :home
        get Paths.today, :show

        # Where there is no job yet, somebody reckons one.
        def home = go(workroom.jobs.list.empty? ? Paths.reckon : Paths.today)

        def show
          diary = Work::Diary.of(workroom, house, Time.now)
          today = Work::Today.of(Work::Workroom.new(workroom), diary)
          page(:today, Screens::Today.new(today, Screens::Diary.new(diary)))
        end
      end
    end
  end
end
