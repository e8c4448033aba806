# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # Jobs in a list, at work and in the archive.
      module ListedJobs
        # @param line [Store::Records::JobLine]
        # @return [String] how many windows, and how many of somebody's own curtains
        def counted(line)
          @counted ||= Hash.new { |told, numbers| told[numbers] = numbered(*numbers) }
          @counted[[line.windows, line.altered]]
        end

        private

        def numbered(windows, altered)
          counts = {"jobs.windows" => windows, "jobs.altered" => altered}.select { |_, number| number.positive? }
          counts = {"jobs.windows" => 0} if counts.empty?
          counts.map { |words, number| Words.say(words, count: number) }.join(" · ")
        end
      end
    end
  end
end
