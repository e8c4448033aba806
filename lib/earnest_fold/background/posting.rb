# frozen_string_literal: true

require "que"
require "tzinfo"

module EarnestFold
  module Background
    # One letter on its way, as the queue hands it out. What didn't go is tried again later and later; what was refused
    # is told at once. While the post is switched off, or didn't answer several times in a row, letters wait.
    class Posting < Que::Job
      POST = Adapters::Post
      # Seconds until one looks again whether the post is open.
      LOOKS = 30

      # @param workroom [Integer]
      # @param id [Integer] of the letter
      def run(workroom, id)
        @room, @post = Store::Workroom.new(workroom), POST.configured
        return letters.put_off(id, LOOKS) if @post && !Store::Outside.open?(POST::NAME)

        letter = letters.begin(id) or return
        return letters.not_sent(id, "no_post", for_good: true) unless @post

        @post.deliver(written(letter))
        Store::Outside.answered(POST::NAME)
        letters.sent(id)
      rescue POST::Refused
        Store::Outside.answered(POST::NAME)
        letters.not_sent(id, "refused", for_good: true)
      rescue POST::Unreached
        Store::Outside.failed(POST::NAME, "unreached")
        letters.not_sent(id, "unreached", for_good: false)
      end

      private

      def letters = @room.letters

      def written(letter)
        paper = letter.paper_id && @room.bills.find(letter.job_id, letter.paper_id)
        house = @room.house.read
        POST::Letter.new(
          id: "letter-#{@room.id}-#{letter.id}",
          to: letter.to,
          sender: house.name,
          subject: letter.subject,
          body: linked(letter, paper),
          files: paper ? file(paper, house) : {}
        )
      end

      # A link is made as the letter goes: before, nobody could read it anywhere.
      def linked(letter, paper)
        return letter.body unless letter.body.include?(Work::LetterDraft::LINK) && paper&.answered_to?

        key = @room.customer_links.make(paper: paper.id)
        letter.body.gsub(Work::LetterDraft::LINK, "#{letter.house}/for/#{key}")
      end

      def file(paper, house)
        day = Words.date(TZInfo::Timezone.get(house.rules.diary.zone).to_local(paper.at), :long)
        name = "#{Words.say("papers.kinds.#{paper.kind}").downcase}-#{paper.number}.pdf"
        {name => Documents::BillPdf.new(paper.kind, paper.number, day, paper.content).render}
      end
    end
  end
end
