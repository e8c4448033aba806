# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # Jobs in a list, at work and in the archive.
      module ListedJobs
        # @param line [Store::Records::JobLine]
        # @return [String] how many windows, and how many of somebody's own curtains
        def counted(line)
          altered = Words.say("jobs.altered", count: line.altered)
          return altered if line.windows.zero? && line.altered.positive?

          [Words.say("jobs.windows", count: line.windows), *(altered if line.altered.positive?)].join(" · ")
        end
      end
    end
  end
end
