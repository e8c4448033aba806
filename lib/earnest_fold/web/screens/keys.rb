# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # The page of keys and marks.
      class Keys
        KEYS = %w[stations previous next working unit find help].freeze
        MARKS = %w[hem head seam repeat waste turning].freeze

        # @return [Array<String>]
        def keys = KEYS

        # @return [Hash{String => String}] each mark's drawing: SVG
        def marks = MARKS.to_h { |mark| [mark, Drawings::Mark.new(mark).to_s] }

        def page_title = Words.say("marks.title")
      end
    end
  end
end
