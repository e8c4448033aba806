# frozen_string_literal: true

module EarnestFold
  module Web
    # The slip that a customer agrees to, made ready for paper: what came in, what it was like, and what is to be done.
    class SlipPaper
      # @param job [Work::Job]
      # @param entry [Work::Alteration]
      # @param workroom [Store::Workroom]
      def initialize(job, entry, workroom)
        @job, @entry, @workroom = job, entry, workroom
        photographs = workroom.came_in.photographs(entry.id)
        @screen = Screens::CameIn.new(job, entry, workroom.came_in.notes(entry.id), photographs)
      end

      # @return [String] PDF
      def render
        Documents::SlipPdf.new(
          title: Words.say("slip.title", title: "#{@job.job.title}, #{@entry.title}"),
          house: @job.settled.name,
          wanted: wanted,
          drawing: @screen.drawing,
          notes: notes,
          images: images
        ).render
      end

      private

      def wanted
        made = @entry.reckoning or return [[Words.say("slip.not_measured"), ""]]
        read_back = Screens::AlterMeasure.new(@job, @entry).read_back
        [
          [Words.say("slip.what"), Words.say("alterations.#{made.alteration.kind}")],
          [Words.say("slip.length"), read_back],
          [Words.say("fields.curtains"), made.curtain.curtains.to_s],
          *made.alteration.edges.map do |edge, fate|
            [Words.say("alter.edge_names.#{edge}"), Words.say("alter.edges.#{fate}")]
          end
        ]
      end

      def notes =
        @screen.numbered.reject { |_, note| note.struck }.map { |number, note| [number.to_s, @screen.words(note)] }

      def images =
        @screen.photographs.map { |photograph| [@workroom.came_in.image(@entry.id, photograph.id), photograph.words] }
    end
  end
end
