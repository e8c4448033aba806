# frozen_string_literal: true

require "forwardable"

module EarnestFold
  module Web
    module Screens
      # What somebody's own curtains were like when they came in: noted by place on the drawing, with photographs.
      class CameIn
        extend Forwardable

        attr_reader :sheet, :photographs, :problem, :typed
        # @return [Array<Store::Slips::Slip>] that were handed out, the last first
        attr_reader :slips
        # @return [CustomerLinks]
        attr_reader :links

        def_delegators :@came_in, :notes, :hands, :numbered

        # @param sheet [Work::Job]
        # @param came_in [Work::CameIn]
        # @param photographs [Array<Store::CameIn::Photograph>]
        # @param problem [Symbol, nil] what stood in the way of a note or a photograph
        def initialize(sheet, came_in, photographs, slips:, links:, problem: nil, typed: {})
          @sheet, @came_in, @photographs, @problem, @typed = sheet, came_in, photographs, problem, typed
          @slips, @links = slips, links
        end

        def entry = @came_in.work

        def job = sheet.job

        def unit = sheet.unit

        def page_title = Words.say("came_in.title", title: entry.title)

        # @return [String] a photograph in words
        def said_of(photograph) =
          photograph.words.empty? ? Words.say("came_in.photograph_of", title: entry.title) : photograph.words

        def path(to = "came-in") = Paths.work(job.id, entry.id, to)

        # @return [String, nil] what was answered to a slip
        def answered(slip)
          answer = slip.answer or return
          [Words.say("papers.answered.#{answer.said}"), Words.date(answer.on, :dated), answer.name]
            .reject { |part| part.to_s.empty? }.join(" ")
        end

        # @return [String] SVG
        def drawing = Drawings::Condition.new(hands, entry.reckoning, @came_in.standing).to_s

        def words(note) = Words.noted(@came_in.said(note))

        # @return [Array<String>] of what can be noted
        def sorts = Store::CameIn::SORTS

        # @return [Hash{String => Array(Integer, Integer)}] the places that have a name
        def places = Work::CameIn::PLACES
      end
    end
  end
end
