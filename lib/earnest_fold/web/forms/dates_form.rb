# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # What is promised of a job and what it waits for; all of it empty takes it out of the diary.
      class DatesForm
        include Merging
        include Refusing

        attr_reader :typed

        # @param job [Store::Records::Job]
        # @param params [Hash, nil] nil before anything was typed
        def initialize(job, params)
          @job, @saw = job, Saw.new(params || {}) { nil }
          @typed = Work::Diary::DATES.to_h { |name| [name, taken(name, params && params[name])] }
          @typed.each { |name, text| refuse(name, :not_a_date) unless text.empty? || Days.date(text) }
        end

        def valid? = super && clashes.empty?

        # @return [Hash{String => String}]
        def dates = typed.reject { |_, text| text.empty? }

        private

        def taken(name, text) = (text.is_a?(String) && mine?(name, text.strip)) ? text.strip : shown(name)

        def shown(name) = @job.dates[name].to_s

        def called(name) = Words.say("diary.dates.#{name}")
      end
    end
  end
end
