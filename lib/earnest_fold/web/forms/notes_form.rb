# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # A job's notes.
      class NotesForm
        include Merging

        LONGEST = 4000
        # @return [String] as they are to be kept
        attr_reader :notes

        # @param job [Store::Records::Job]
        # @param params [Hash]
        def initialize(job, params)
          @job, @saw = job, Saw.new(params) { nil }
          typed = params["notes"].is_a?(String) ? params["notes"].gsub("\r\n", "\n").strip[0, LONGEST] : job.notes
          @notes = mine?("notes", typed) ? typed : job.notes
        end

        def valid? = clashes.empty?

        private

        def shown(_name) = @job.notes

        # A browser sends its lines another way than they are kept.
        def alike?(_name, saw) = saw.to_s.gsub("\r\n", "\n").strip == @job.notes

        def called(_name) = Words.say("job.notes")
      end
    end
  end
end
