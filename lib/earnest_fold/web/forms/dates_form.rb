# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # What is promised of a job and what it waits for; all of it empty takes it out of the diary.
      class DatesForm
        attr_reader :typed, :problems

        # @param job [Store::Records::Job]
        # @param params [Hash, nil] nil before anything was typed
        def initialize(job, params)
          @typed = DiarySheet::DATES.to_h { |name| [name, params ? params[name].to_s.strip : job.dates[name].to_s] }
          @problems = typed.reject { |_, text| text.empty? || Days.date(text) }.to_h { |name, _| [name, Reckoning::Problem.new(at: name, code: :not_a_date, data: {})] }
        end

        def valid? = problems.empty?

        # @return [Hash{String => String}]
        def dates = typed.reject { |_, text| text.empty? }
      end
    end
  end
end
