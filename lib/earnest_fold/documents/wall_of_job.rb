# frozen_string_literal: true

module EarnestFold
  module Documents
    # A job's windows on one wall: what is drawn of each, from what is known of it.
    class WallOfJob
      D = Drawings::RoomWall
      R = Reckoning

      # @param job [Work::Job]
      # @param works [Array<Work::AtWork>] of it
      # @param colours [#call] gives a cloth its colour
      # @param more [Array(String, String), nil] the words and the address of one more window
      # @yieldparam work [Work::AtWork]
      # @yieldreturn [String] the address it leads to; without a block they lead nowhere
      def initialize(job, works = job.works, colours: job.method(:colour), more: nil, &links)
        @job, @colours, @more, @links = job, colours, more, links
        @own, @made = works.partition(&:altered_as)
      end

      # @return [String] SVG
      #
      #   Documents::WallOfJob.new(in_hand).to_s[0, 4] # => "<svg"
      def to_s = D.new(windows, own, @job.unit, more: @more).to_s

      private

      def windows = @made.group_by { |work| work.window.id }.values.map { |works| window(works) }

      def window(works)
        made = works.map(&:reckoning).compact
        D::Window.new(
          title: called(works.first),
          href: @links&.call(works.first),
          length: made.map { |one| one.treatment.support.length }.max,
          drop: made.map(&:finished_drop).max,
          layers: works.select(&:reckoning).map { |work| layer(work) },
          features: made.empty? ? {} : made.last.treatment.wall.features
        )
      end

      def layer(work)
        made = work.reckoning
        D::Hung.new(
          places: R::StackBack.of(made.treatment, made.curtains, @job.house).places,
          colour: @colours.call(work.face),
          kind: made.treatment.support.kind
        )
      end

      def own
        @own.map do |work|
          length = work.reckoning&.alteration&.length_at_last
          D::Own.new(title: work.title, href: @links&.call(work), length: length, colour: @colours.call(work.face))
        end
      end

      def called(work) = work.window.name.empty? ? work.window.room : work.window.name
    end
  end
end
