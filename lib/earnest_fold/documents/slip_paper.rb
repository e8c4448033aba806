# frozen_string_literal: true

module EarnestFold
  module Documents
    # The slip that a customer agrees to: what came in, what it was like, and what is to be done.
    class SlipPaper
      # @param job [Work::Job]
      # @param came_in [Work::CameIn]
      # @param images [Array<Array(String, String)>] each photograph: JPEG, words
      def initialize(job, came_in, images)
        @job, @came_in, @images, @work = job, came_in, images, came_in.work
      end

      # @return [Hash] what it says, as plain values: kept where it is handed out
      #
      #   Documents::SlipPaper.new(in_hand, came_in, []).content.keys # => ["title", "house", "wanted", "notes"]
      def content = {
        "title" => title, "house" => @job.settled.name, "wanted" => wanted, "notes" => notes
      }

      # @return [String] PDF
      #
      #   Documents::SlipPaper.new(in_hand, came_in, []).render[0, 4] # => "%PDF"
      def render
        SlipPdf.new(
          title: title,
          house: @job.settled.name,
          wanted: wanted,
          drawing: Drawings::Condition.new(@came_in.hands, @work.reckoning, @came_in.standing).to_s,
          notes: notes,
          images: @images
        ).render
      end

      private

      def title = Words.say("slip.title", title: "#{@job.job.title}, #{@work.title}")

      def notes = @came_in.standing.map { |number, note| [number.to_s, Words.noted(@came_in.said(note))] }

      def length_wanted(made)
        ends = [made.curtain.length_from, made.curtain.length_to]
        Words.length_wanted(made.alteration.wanted_length, ends, @job.unit, @job.other_unit)
      end

      def wanted
        made = @work.reckoning or return [[Words.say("slip.not_measured"), ""]]
        [
          [Words.say("slip.what"), Words.say("alterations.#{made.alteration.kind}")],
          *([[Words.say("slip.length"), length_wanted(made)]] unless made.alteration.cuts_nothing?),
          [Words.say("fields.curtains"), made.curtain.curtains.to_s],
          *made.alteration.edges.map do |edge, fate|
            [Words.say("alter.edge_names.#{edge}"), Words.say("alter.edges.#{fate}")]
          end
        ]
      end
    end
  end
end
