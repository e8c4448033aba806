# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # A handler that shows a job's first screen.
      module FirstScreen
        private

        # @param job [Work::Job]
        # @return [Screens::Job]
        # @param whom [Forms::ForWhomForm, nil] with what couldn't be taken
        def first_screen(job, whom: nil, **more)
          diary = Work::Diary.of(workroom, house, Time.now)
          outlook = Work::Outlook.new(job, workroom, diary)
          may = {maker: may?(Access::MAKERS), books: may?(Access::BOOKS), open: open_stations}
          Screens::Job.new(job, outlook, **may, whom: for_whom(job.job, whom), **more)
        end

        # What the first screen's own forms keep of a job, merged by field.
        # @param form [Class] made from the job and what was typed
        # @param shown_as [Symbol] under which {Screens::Job} takes it
        # @yieldparam job [Store::Records::Job] as it was when the form was read
        # @yieldparam form [Forms::Merging] of which everything can be taken
        def keep_of_job(id, form, shown_as, back = Paths.job(id))
          merged do
            job = workroom.jobs.find(number(id))
            read = form.new(job, params)
            next page(:job, first_screen(sheet(id), shown_as => read), status: status_of(read)) unless read.valid?

            yield(job, read)
            go(back)
          end
        end

        # Whose a job is, for those who do business with them.
        def for_whom(job, form)
          return unless may?(Access::MAKERS)

          customers, id = workroom.customers, job.customer_id
          Screens::ForWhom.new(
            id && customers.find(id), job.house_id, id ? customers.houses(id) : [], customers.names, form,
            letters: workroom.letters.of(job.id)
          )
        end
      end
    end
  end
end
