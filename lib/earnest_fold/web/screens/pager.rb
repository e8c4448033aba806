# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # The pages of a long list.
      class Pager
        # @param path [String]
        # @param number [Integer] this page, from 1
        # @param full [Boolean] whether this page is full, so that there may be another
        # @param asked [Hash{String => String}] what else stands in the address
        def initialize(path, number, full, asked = {})
          @path, @number, @full, @asked = path, number, full, asked
        end

        # @return [String, nil]
        def newer = (@number > 1) ? page(@number - 1) : nil

        # @return [String, nil]
        def older = @full ? page(@number + 1) : nil

        private

        def page(number) = "#{@path}?#{URI.encode_www_form(@asked.merge("page" => number))}"
      end
    end
  end
end
