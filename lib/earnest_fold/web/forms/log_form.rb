# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # A step's time put right by hand, or what was learnt of a piece of work.
      class LogForm
        LONGEST, MOST_MINUTES = 2000, 6000
        attr_reader :typed

        # @param work [Work::Logbook::Work]
        # @param params [Hash]
        def initialize(work, params)
          @work = work
          @typed =
            %w[step curtain minutes went_wrong next_time].to_h do |name|
              [name, params[name].to_s.gsub("\r\n", "\n").strip]
            end
        end

        # @return [Boolean] whether it is about a time
        def time? = !typed["step"].empty?

        # @return [Symbol, nil]
        def problem
          return (minutes ? nil : :minutes_unreadable) if time?
          return :nothing_learnt if typed.values_at("went_wrong", "next_time").all?(&:empty?)

          :learnt_too_long if typed.values_at("went_wrong", "next_time").any? { |text| text.size > LONGEST }
        end

        def valid? = problem.nil?

        # @return [Reckoning::MakingUp::Step]
        # @raise [Store::Missing]
        def step =
          @work.entry.steps.find { |one| one.code == typed["step"] } ||
            raise(Store::Missing, "no such step")

        # @return [String, nil] as it is kept
        def minutes
          number = Reckoning::Exact.read(Reckoning::FieldKinds::Written.minutes(typed["minutes"]))
          number.to_s if number && number >= 0 && number <= MOST_MINUTES
        end

        # @return [Hash]
        def note = {went_wrong: typed["went_wrong"], next_time: typed["next_time"]}
      end
    end
  end
end
