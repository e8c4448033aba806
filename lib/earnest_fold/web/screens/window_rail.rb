# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # Some works of a job, one under the other, as the rail at the side of every station shows them. A job may have
      # dozens, and what is done at one changes none of the others: their markup is made once for as long as they stand
      # so.
      class WindowRail
        include Work::Remembers

        # A work in few words, with its picture; `here` for the one that is looked at.
        Row = Reckoning::Value.define(:path, :picture, :title, :summary, :here)

        # @param sheet [Work::Job]
        # @param at [Integer] where the one looked at stands among its works
        # @param station [String]
        # @return [Array<WindowRail>] those before the one looked at, itself, and those after it: each of the others
        #   known to be sound
        def self.parts(sheet, at, station)
          works = sheet.works
          [works[0...at].map(&:sound), [works[at]], works[at + 1..].map(&:sound)]
            .each_with_index
            .map { |some, part| new(sheet, some, station, here: part == 1) }
        end

        # @return [String] the same station of a work, or Measure where it has none such
        def self.path(sheet, work, station) =
          Paths.station(sheet.job.id, work.id, work.stations.include?(station) ? station : "measure")

        # @param sheet [Work::Job]
        # @param works [Array<Work::AtWork>] of it
        # @param station [String] the one that is looked at
        # @param here [Boolean] whether it is the one that is looked at
        def initialize(sheet, works, station, here:)
          @sheet, @works, @station, @here = sheet, works, station, here
        end

        # @return [Array] all that it was given
        def made_of = [
          @sheet.job.id, @station, @here, @works.map { |work| [work.state, @sheet.colour(work.face)] }
        ]

        # @yieldreturn [String] the rows as they are shown
        # @return [String]
        def shown(&block) = @works.empty? ? "" : Fragments.part(:window_rail, state, &block)

        # @return [Array<Row>]
        def rows = @works.map do |work|
          Row.new(
            path: self.class.path(@sheet, work, @station),
            picture: Pictures.silhouette(@sheet, work),
            title: work.title,
            summary: summary(work),
            here: @here
          )
        end

        private

        def summary(work)
          return Words.say("desk.faulty") if work.reckoned.faulty?
          return Words.say("desk.stopped") if work.checks.any?(&:stop?)
          return Words.say("desk.open") unless work.reckoning
          return Words.say("alterations_short.#{work.altered_as}") if work.altered_as

          "#{Words.say("openings.#{work.record.spec.dig("opening", "kind")}")} · #{Words.say("states.done")}"
        end
      end
    end
  end
end
