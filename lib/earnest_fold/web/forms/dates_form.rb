# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # What is promised of a job and what it waits for; all of it empty takes it out of the diary.
      class DatesForm < FieldForm
        FIELDS = R::Fields.new(Work::Diary::DATES.to_h { |name| [name.to_sym, [R::FieldKinds::DateKind.new, nil]] })
        # @return [Hash{String => String}]
        attr_reader :dates

        # @param job [Store::Records::Job]
        # @param params [Hash, nil] nil before anything was typed
        def initialize(job, params)
          super(params, R::Units::CM)
          @now = job.dates
          @dates = Work::Diary::DATES.reduce(@now) { |made, name| taken(made, name) }
        end

        def field(name) = FIELDS.fetch(name.to_sym)

        private

        def kept(name) = @now[name]

        def called(name) = Words.say("diary.dates.#{name}")
      end
    end
  end
end
