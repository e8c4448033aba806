# frozen_string_literal: true

require "date"

module EarnestFold
  module Reckoning
    # The diary: the steps of all jobs laid on benches and days, each as early as it can, never two on one bench,
    # never more than there are people, never before what it needs or what it waits for.
    #
    # Time runs in working minutes from the day on which the diary begins ({WorkingDays}); a step that isn't done at
    # night goes on in the morning.
    module Diary
      # A stretch of work on one bench. `needs` are the keys of what has to be done before; `days_after` how many days
      # it waits after that; `not_before` the day on which what it waits for is there, and `waits_for` what that is
      # (:cloth, :parts, :moved); `at_minute` the minute of that day where somebody has moved it.
      Task = Value.define(
        :key,
        :work,
        :code,
        :bench,
        :minutes,
        :needs,
        :days_after,
        :not_before,
        :at_minute,
        :waits_for
      )
      # A job in the diary, with the day it is promised for (nil: none).
      JobOfDiary = Value.define(:id, :promised, :tasks)
      # A task in its place, in working minutes. `held` is what its beginning hung on: :start, :needs, :waiting,
      # :cloth, :parts, :moved, :bench or :people; `ready` when everything it needs and waits for was there.
      Laid = Value.define(:task, :job, :from, :to, :ready, :held)
      # The benches in the order of a page; :away is work outside the workroom.
      BENCHES = %i[table press machine hands away].freeze
    end
  end
end

require_relative "diary/working_days"
require_relative "diary/timeline"
require_relative "diary/laying"
require_relative "diary/best_order"
require_relative "diary/plan"
