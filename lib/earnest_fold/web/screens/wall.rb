# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # A job's windows on one wall: what is drawn of each, from what is known of it.
      class Wall
        D = Drawings::RoomWall
        R = Reckoning

        # @param sheet [Work::Job]
        # @param more [Array(String, String)] the words and the address of one more window
        def initialize(sheet, more:)
          @sheet, @more = sheet, more
        end

        # @return [String] SVG
        def to_s = D.new(windows, own, @sheet.unit, more: @more).to_s

        private

        def windows = @sheet.entries.group_by { |entry| entry.window.id }.values.map { |entries| window(entries) }

        def window(entries)
          made = entries.map(&:reckoning).compact
          D::Window.new(
            title: called(entries.first),
            href: href(entries.first),
            length: made.map { |one| one.treatment.support.length }.max,
            drop: made.map(&:finished_drop).max,
            layers: entries.select(&:reckoning).map { |entry| layer(entry) },
            features: made.empty? ? {} : made.last.treatment.wall.features
          )
        end

        def layer(entry)
          made = entry.reckoning
          D::Hung.new(
            places: R::StackBack.of(made.treatment, made.curtains, @sheet.house).places,
            colour: @sheet.colour(entry.face),
            kind: made.treatment.support.kind
          )
        end

        def own
          @sheet.alterations.map do |entry|
            length = entry.reckoning&.alteration&.length_at_last
            D::Own.new(title: entry.title, href: href(entry), length: length, colour: @sheet.colour(entry.face))
          end
        end

        def called(entry) = entry.window.name.empty? ? entry.window.room : entry.window.name

        def href(entry) = Paths.station(@sheet.job.id, entry.id, entry.following)
      end
    end
  end
end
