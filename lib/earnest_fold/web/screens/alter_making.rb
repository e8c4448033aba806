# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # Making, for an alteration: its order of work.
      class AlterMaking < Making
        include Altering

        # What stops the alteration stops its making.
        def checks = entry.checks

        def compared = []

        def papers = {"work-order.pdf" => "making_papers.work", "slip.pdf" => "came_in.slip"}

        def not_yet = [Words.say("alter.not_yet"), "alter"]
      end
    end
  end
end
