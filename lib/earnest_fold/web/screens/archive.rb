# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # The jobs that are done and put by.
      class Archive
        include ListedJobs

        attr_reader :lines

        # @param lines [Array<Store::Records::JobLine>]
        def initialize(lines, page: 1)
          @lines, @page = lines, page
        end

        # @return [Pager]
        def pages = Pager.new(Paths.archive, @page, lines.size == Store::Jobs::MOST_LISTED)

        def page_title = Words.say("archive.title")
      end
    end
  end
end
