# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # The Account station of a job: what it comes to, line by line, by both schools, and the papers that went out.
      class Account
        A = Reckoning::Account
        # A school beside the other: what the work comes to by it, what that gives an hour, and whether it is the one
        # that counts.
        School = Reckoning::Value.define(:name, :labour, :per_hour, :per_clocked, :chosen)
        # What is said of each finished curtain, once.
        TAG = "tag_it"
        # A step's share of the time, and what the clocks said of it, nil where none ran.
        StepShare = Reckoning::Value.define(:title, :minutes, :clocked)
        # What was said of the account beside its fields, and by which name it is taken away.
        Said = Reckoning::Value.define(:words, :amount, :named)

        attr_reader :sheet, :papers, :form
        # @return [String] for whom the next paper is
        attr_reader :addressed
        # @return [String, nil] the number that was typed for it, where it couldn't be written
        attr_reader :number
        # @return [CustomerLinks]
        attr_reader :links

        # @param account [Work::Account]
        # @param papers [Array<Store::Bills::Bill>] the last first
        # @param form [Forms::AccountForm, nil] with what could not be taken
        # @param problem [Symbol, nil] what stood in the way of a paper
        # @param following [Hash{String => Integer}] the number that the next paper of each kind takes
        def initialize(account, papers, links:, addressed: "", number: nil, form: nil, problem: nil, following: {})
          @account, @sheet, @papers, @form, @problem, @following =
            account, account.sheet, papers, form, problem, following
          @addressed, @number, @links = addressed, number, links
        end

        def job = sheet.job

        def unit = sheet.unit

        def page_title = Words.say("account.title", title: job.title)

        def problem = @problem && Words.say("form_problems.#{@problem}")

        def statement = @account.statement

        def rules = @account.rules

        # @param amount [Reckoning::Money]
        # @return [String] with the currency
        def money(amount) = "#{Words.money(amount.to_r)} #{rules.currency}"

        # @yieldreturn [String] a part that changes only with the account
        def shown(part, &block) = Fragments.of(@account, part, &block)

        # @return [Boolean] whether there is work that either school could price
        def work? = @account.works.any?

        def lines = statement.lines.map { |line| [Words.account_line(line, unit), line] }

        # @return [Array<School>] by the clock only where one ran
        def schools =
          offered.map do |name|
            School.new(
              name: name,
              labour: statement.labour(name),
              per_hour: statement.per_hour(name),
              per_clocked: statement.clocked? ? statement.per_hour(name, statement.clocked) : nil,
              chosen: statement.school == name
            )
          end

        def offered =
          A::Rules::SCHOOLS.select { |name| name != "by_clock" || statement.clocked? || statement.school == name }

        # @return [Array<StepShare>] the minutes of each kind of step in the whole job, the longest first
        def times
          sums =
            @account
              .works
              .flat_map { |entry| entry.minutes_by_step.to_a }
              .group_by(&:first)
              .transform_values { |pairs| pairs.sum(&:last) }
          sums
            .sort_by { |code, minutes| [-minutes, code] }
            .map do |code, minutes|
              StepShare.new(title: Words.say("work_steps.#{code}.title"), minutes: minutes, clocked: clocked[code])
            end
        end

        # @return [Array<Field>] where something that was paid is typed
        def payment_fields = Forms::AccountForm::PAID.map { |name| field(name) }

        # @return [Array<Said>] what else is asked for
        def extras = kept["extras"].map { |extra| said(extra, extra["name"]) }

        # @return [Array<Said>] what was paid
        def payments =
          kept["payments"].map do |paid|
            said(paid, "#{Words.date(Date.iso8601(paid["on"]), :dated)}, #{paid["name"]}")
          end

        # @return [Array<Work::Job::Entry>] what is not in it yet
        def missing = sheet.works.reject(&:reckoning)

        # @return [Store::Bills::Bill, nil]
        def quote = papers.find { |paper| paper.kind == "quote" }

        # @return [Array<Reckoning::Account::Changes::Change>] since the last quote
        def changes = quote ? A::Changes.between(Documents::BillContent.lines(quote.content), statement.lines) : []

        def change_words(change) =
          if change.name.empty?
            Words.say("account.sorts.#{change.sort}")
          else
            "#{Words.say("account.sorts.#{change.sort}")}: #{change.name}"
          end

        # @return [Array<Reckoning::Remark>] what an experienced maker says here
        def remarks = of_alterations + of_finished

        # What is finished carries its tag.
        def of_finished
          @account
            .works
            .select(&:finished?)
            .first(1)
            .flat_map do |entry|
              entry.judged(station: "account").select { |remark| remark.code == TAG }
            end
        end

        # What all its alterations come to by either school.
        def of_alterations
          altered = @account.works.select(&:altered_as)
          return [] if altered.empty?

          all = altered.map { |entry| A.priced(entry.billed, rules) }
          priced = A::Priced.new(
            minutes: all.sum(&:minutes),
            by_time: Reckoning::Money.sum(all.map(&:by_time)),
            by_width: Reckoning::Money.sum(all.map(&:by_width))
          )
          altered.first.judged(station: "account", priced: priced).reject do |remark|
            remark.code == TAG
          end
        end

        def clocked = @clocked ||= @account.clocked_by_step

        def kept = @account.kept

        # @return [Array<String>] what a customer can answer
        def answers = Store::Bills::ANSWERS

        # @param paper [Store::Bills::Bill] that was answered
        # @return [String] "accepted 23 Nov 2026"
        def answered(paper) =
          [Words.say("papers.answered.#{paper.answer.said}"), Words.date(paper.answer.on, :dated), paper.answer.name]
            .reject { |part| part.to_s.empty? }.join(" ")

        # @return [Array<String>] the papers that can be written
        def kinds_of_bill = Store::Bills::KINDS

        # @return [Array<Field>]
        def fields = (Forms::AccountForm::NAMES - Forms::AccountForm::NEW).map { |name| field(name) }

        # @return [Array<Field>] where something else that is asked for is typed
        def extra_fields = Forms::AccountForm::NEW.map { |name| field(name) }

        # @return [Integer] the number that the next paper of a kind takes
        def following(kind) = @following.fetch(kind, 1)

        # @return [Array<Forms::Merging::Both>]
        def both_versions = form ? form.clashes : []

        def field(name) =
          Field.of_form(
            form || Forms::AccountForm.new(kept, @account.asked, nil),
            name,
            label: Words.say("account.fields.#{name}"),
            unit: unit
          )

        private

        def said(one, words) = Said.new(
          words: words,
          amount: Words.money(Reckoning::Money.read(one["amount"]).to_r),
          named: Forms::AccountForm.named(one)
        )
      end
    end
  end
end
