# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # What a search over jobs, rooms, windows, customers, cloths, pieces and papers found.
      class Find
        attr_reader :words, :jobs, :cloths, :customers, :pieces, :papers

        # @param words [String]
        # @param jobs [Array<Array(Integer, String, String)>] id, title, where
        # @param cloths [Array<Store::Records::Cloth>]
        # @param customers [Array<Store::Customers::InList>]
        # @param pieces [Array<Store::Shelf::Found>]
        # @param papers [Array<Store::Bills::Numbered>]
        def initialize(words, jobs: [], cloths: [], customers: [], pieces: [], papers: [])
          @words, @jobs, @cloths, @customers, @pieces, @papers = words, jobs, cloths, customers, pieces, papers
        end

        def page_title = Words.say("find.title")

        def nothing? = !words.empty? && [jobs, cloths, customers, pieces, papers].all?(&:empty?)

        # @param paper [Store::Bills::Numbered]
        # @return [String] "Quote 3: Ticket office"
        def called(paper) = Words.say("letters.subjects.#{paper.kind}", number: paper.number, title: paper.title)
      end
    end
  end
end
