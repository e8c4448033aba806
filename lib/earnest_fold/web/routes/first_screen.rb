# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # A handler that shows a job's first screen.
      module FirstScreen
        private

        # @param job [Work::Job]
        # @return [Screens::Job]
        def first_screen(job, **more)
          diary = Work::Diary.of(workroom, house, Time.now)
          Screens::Job.new(job, Work::Outlook.new(job, workroom, diary), books: may?(Access::BOOKS), **more)
        end
      end
    end
  end
end
