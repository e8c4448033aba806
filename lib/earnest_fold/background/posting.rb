# frozen_string_literal: true

require "tzinfo"

module EarnestFold
  module Background
    # A letter on its way.
    class Posting < Going
      private

      def adapter = Adapters::Post

      def waiting = @room.letters

      def hand(letter) = @taker.deliver(written(letter))

      def written(letter)
        paper = letter.paper_id && @room.bills.find(letter.job_id, letter.paper_id)
        house = @room.house.read
        Adapters::Post::Letter.new(
          id: "letter-#{@room.id}-#{letter.id}",
          to: letter.to,
          sender: house.name,
          subject: letter.subject,
          body: linked(letter, paper),
          files: files(letter, paper, house)
        )
      end

      # A link is made as the letter goes: before, nobody could read it anywhere.
      def linked(letter, paper)
        shown = letter.slip_id ? {slip: letter.slip_id} : {paper: paper&.answered_to? && paper.id}
        return letter.body unless letter.body.include?(Work::LetterDraft::LINK) && shown.values.all?

        key = @room.customer_links.make(**shown)
        letter.body.gsub(Work::LetterDraft::LINK, "#{letter.house}/for/#{key}")
      end

      def files(letter, paper, house)
        return {"#{Words.say("letters.slip_file")}.pdf" => @room.slips.file(letter.slip_id)} if letter.slip_id

        paper ? file(paper, house) : {}
      end

      def file(paper, house)
        day = Words.date(TZInfo::Timezone.get(house.rules.diary.zone).to_local(paper.at), :long)
        name = "#{Words.say("papers.kinds.#{paper.kind}").downcase}-#{paper.number}.pdf"
        {name => Documents::BillPdf.new(paper.kind, paper.number, day, paper.content).render}
      end
    end
  end
end
