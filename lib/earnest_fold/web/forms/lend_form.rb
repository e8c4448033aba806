# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # Which jobs are lent to somebody: those that were ticked, and those of which the tick was taken away, since the
      # page was shown. What others lent meanwhile stays as it is.
      class LendForm
        # @param shown [Array<Integer>] ids of the jobs that can be lent
        # @param lent [Array<Integer>] of those that are
        # @param params [Hash]
        def initialize(shown, lent, params)
          @shown, @asked = shown, Array(params["jobs"]).map { |job| job.to_s.to_i }
          @saw = Saw.new(params) { |_| (shown & lent).join(" ") }.text("jobs").split.map(&:to_i)
        end

        # @return [Array<Integer>]
        def lent = (@shown & @asked) - @saw

        # @return [Array<Integer>]
        def taken_back = (@shown & @saw) - @asked
      end
    end
  end
end
