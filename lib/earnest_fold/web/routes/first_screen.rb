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
          Screens::Job.new(job, outlook, books: may?(Access::BOOKS), whom: for_whom(job.job, whom), **more)
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
