# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # The pages of a long list.
      class Pager
        # @param path [String]
        # @param number [Integer] this page, from 1
        # @param full [Boolean] whether this page is full, so that there may be another
        def initialize(path, number, full)
          @path, @number, @full = path, number, full
        end

        # @return [String, nil]
        def newer = (@number > 1) ? "#{@path}?page=#{@number - 1}" : nil

        # @return [String, nil]
        def older = @full ? "#{@path}?page=#{@number + 1}" : nil
      end
    end
  end
end
