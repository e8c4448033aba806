# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # What a search over jobs, rooms, windows, customers and cloths found.
      class Find
        attr_reader :words, :jobs, :cloths, :customers

        # @param words [String]
        # @param jobs [Array<Array(Integer, String, String)>] id, title, where
        # @param cloths [Array<Store::Records::Cloth>]
        # @param customers [Array<Store::Customers::InList>]
        def initialize(words, jobs, cloths, customers)
          @words, @jobs, @cloths, @customers = words, jobs, cloths, customers
        end

        def page_title = Words.say("find.title")

        def nothing? = !words.empty? && [jobs, cloths, customers].all?(&:empty?)
      end
    end
  end
end
