# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # What a search over jobs, rooms, windows and cloths found.
      class Find
        attr_reader :words, :jobs, :cloths

        # @param words [String]
        # @param jobs [Array<Array(Integer, String, String)>] id, title, where
        # @param cloths [Array<Store::Records::Cloth>]
        def initialize(words, jobs, cloths)
          @words, @jobs, @cloths = words, jobs, cloths
        end

        def page_title = Words.say("find.title")

        def nothing? = !words.empty? && jobs.empty? && cloths.empty?
      end
    end
  end
end
