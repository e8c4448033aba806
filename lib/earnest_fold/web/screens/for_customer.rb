# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # What a customer sees by their link: one paper, to be answered.
      class ForCustomer
        # @param shown [Store::ShownPapers::Shown]
        # @param key [String] the link's
        # @param day [Date] today, where the house is
        # @param form [Forms::LinkAnswerForm, nil] with what couldn't be taken
        def initialize(shown, key, day:, form: nil)
          @shown, @key, @day, @form = shown, key, day, form
        end

        # @return [String] whose paper it is: it stands where else the application's name does
        def letter_head = content["house"].to_s.empty? ? Words.say("for_customer.workroom") : content["house"]

        def page_title = paper ? Words.paper(paper.kind, paper.number) : content["title"].to_s

        def paper = @shown.paper

        def slip = @shown.slip

        def content = @shown.content

        # @return [String] for whom it is, as it stands on the paper
        def addressed = content["customer"].to_s

        def address = Paths.for_customer(@key)

        def file = Paths.for_customer(@key, "paper.pdf")

        def day = Words.date(@day, :dated)

        # @return [Array<Array(String, String)>] the lines of a bill, and what they come to
        def lines = content["lines"].map { |line| line.values_at("words", "amount") }

        # @return [Array<Array(Symbol, String, String)>] what they come to: :net, :tax, :gross, in words, and the sum
        def sums = Documents::BillContent.sums(content)

        def currency = content["currency"]

        # @return [String] what the paper says below
        def note = Words.say(paper ? "papers.notes.#{paper.kind}" : "slip.agree")

        # @return [Array<Array(String, String)>] what a slip says is to be done, and what was noted
        def wanted = content["wanted"]

        def notes = content["notes"]

        def open? = @shown.open?

        def answered? = !@shown.answer.nil?

        # @return [String] "You accepted it on 23 Nov 2026, Nell Quillwort."
        def answered
          answer = @shown.answer
          key = answer.name.to_s.empty? ? "answered" : "answered_by"
          Words.say("for_customer.#{key}.#{answer.said}", day: Words.date(answer.on, :dated), name: answer.name)
        end

        def name = @form ? @form.name : ""

        def problem = @form&.problem && Words.say("form_problems.#{@form.problem}")

        def answers = Store::Bills::ANSWERS
      end
    end
  end
end
