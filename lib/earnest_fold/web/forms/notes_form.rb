# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # A job's notes.
      class NotesForm < FieldForm
        FIELD = R::Field.new(name: :notes, kind: R::FieldKinds::TextKind.new(least: 0, most: 4000), default: "")

        # @param job [Store::Records::Job]
        # @param params [Hash, nil] nil before anything was typed
        def initialize(job, params)
          super(params, R::Units::CM)
          @now = {"notes" => job.notes}
          @kept = taken(@now, "notes")
        end

        # @return [String] as they are to be kept
        def notes = @kept.fetch("notes", "")

        def field(_name) = FIELD

        private

        def kept(name) = @now[name]

        def alike?(_name, saw) = saw.to_s.strip == @now["notes"]

        def called(_name) = Words.say("job.notes")
      end
    end
  end
end
