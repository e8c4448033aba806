# frozen_string_literal: true

require "que"

module EarnestFold
  module Store
    # How each thing outside answers: when it did last, how often in a row it didn't, and whether it is switched off.
    # One that didn't several times in a row is left alone for a while.
    module Outside
      MOST_FAILURES, LEFT_ALONE = 4, 60
      # What talks to others has a queue of its own: a silent one keeps no plan waiting.
      QUEUE = "outside"
      # `resting` while it is left alone.
      Standing = Reckoning::Value.define(:name, :open, :answered_at, :failed_at, :failures, :why, :resting)

      module_function

      # @param name [String]
      # @return [Standing]
      def of(name)
        Store.guard do
          row = rows(name).select_append(RESTING.as(:resting)).first
          row ||= {name: name, open: true, failures: 0, why: "", resting: false}
          Standing.new(**Standing.members.to_h { |member| [member, row[member]] })
        end
      end

      # @return [Boolean] whether it may be asked now
      def open?(name) = of(name).then { |one| one.open && !one.resting }

      # @param name [String] of what is outside
      def answered(name) =
        kept(name, answered_at: Sequel::CURRENT_TIMESTAMP, failures: 0, why: "")

      # @param why [String] one of our own words
      def failed(name, why) =
        kept(name, failed_at: Sequel::CURRENT_TIMESTAMP, failures: Sequel[:outside][:failures] + 1, why: why)

      # By its name: whoever asks stands outside of this room.
      ASKING = "EarnestFold::Background::AskingOutside"

      # Asked from the queue whether it answers.
      def ask(name) = Store.guard { Que.enqueue(name, job_options: {job_class: ASKING, queue: QUEUE}) }

      # Switched on, it is asked at once.
      def switch(name, open) = kept(name, open: open, failures: 0)

      # @api private
      RESTING = Sequel.lit("failures >= #{MOST_FAILURES} AND failed_at > now() - interval '#{LEFT_ALONE} seconds'")
      private_constant :RESTING

      # @api private
      def rows(name) = Store.db[:outside].where(name: name)

      # @api private
      def kept(name, **values)
        first = values.merge((values.key?(:why) && values[:failures] != 0) ? {failures: 1} : {})
        Store.guard do
          Store.db[:outside].insert_conflict(target: :name, update: values).insert(name: name, **first)
        end
      end
    end
  end
end
