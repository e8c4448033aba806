# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # The page of keys and marks.
      class Marks
        KEYS = %w[stations previous next working unit find help].freeze
        MARKS = %w[hem head seam repeat waste turning].freeze

        def page_title = Words.say("marks.title")
      end
    end
  end
end
