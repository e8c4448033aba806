# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # A job's first screen: its windows with their state, and what it needs of each cloth.
      class Job
        attr_reader :sheet, :typed, :problem, :altering
        # @return [ForWhom, nil] nil for whoever doesn't see customers
        attr_reader :whom

        # @param sheet [Work::Job]
        # @param outlook [Work::Outlook] of it
        # @param maker [Boolean] whether windows may be added
        # @param books [Boolean] whether it is told what it comes to
        # @param open [Array<String>] the stations that whoever looks may go to
        # @param problem [Symbol, nil] what stood in the way of a new window
        # @param altering [Symbol, nil] or of somebody's own curtain
        def initialize(sheet, outlook, typed: {}, problem: nil, altering: nil, title: nil, dates: nil, notes: nil,
          maker: true, books: true, open: Work::Stations.names, whom: nil)
          @outlook, @maker, @books, @open, @whom = outlook, maker, books, open, whom
          @dates = dates || Forms::DatesForm.new(sheet.job, nil)
          @notes = notes || Forms::NotesForm.new(sheet.job, nil)
          @title = title || Forms::TitleForm.new(sheet.job, nil)
          @sheet, @typed, @problem, @altering = sheet, typed, problem, altering
        end

        def job = sheet.job

        # @return [Array<Array(Store::RuleSet, String, Boolean)>] the house's sets, each drawn, and whether it is the
        #   one to start from: what was typed, else what the window before took
        def sets
          house, taken = sheet.settled, typed["rules"] || entries.last&.record&.spec&.[]("rules")
          chosen = house.set(taken) || house.starting_set
          house.sets.map { |set| [set, section(set), set.id == chosen.id] }
        end

        # @return [Array<String>] what can be done to somebody's own curtains
        def alterations = Reckoning::Alterations.sort_by(&:place).map(&:kind)

        # @return [Field] what the job is called
        def title = Field.of_form(@title, "title", label: Words.say("job.title"), unit: unit)

        def both_titles = @title.clashes

        # @return [Boolean] whether another title was typed that couldn't be taken
        def renaming? = !@title.valid?

        # @return [Array<Field>] what is promised and what is awaited
        def dates
          Work::Diary::DATES.map do |name|
            Field.of_form(@dates, name, label: Words.say("diary.dates.#{name}"), unit: unit)
          end
        end

        # @return [Array<Forms::Merging::Both>] what was typed beside what somebody else left meanwhile
        def both_dates = @dates.clashes

        # @return [Field] the job's notes
        def notes = Field.of_form(@notes, "notes", label: Words.say("job.notes"), unit: unit)

        def both_notes = @notes.clashes

        def unit = sheet.unit

        def entries = sheet.works

        # @return [Array<Work::Outlook::Need>]
        def needs = @outlook.needs

        # @return [Boolean] whether anything is needed, cloth or small parts
        def needs? = needs.any? || sheet.work_reckoned.any? { |made| made.sundries.any? }

        # @return [Array<Array(String, String, Symbol)>] what is asked of a job first: its name, what it is, and how it
        #   stands (:late, :open)
        def facts = [promised, ready, (comes_to if @books)].compact

        # @return [String] SVG: what is on the shelf of a cloth beside what is needed of it; once cutting began, how
        #   much of that is cut
        def bar(need)
          there = need.cut.zero? ? need.there : need.needed * Rational(need.cut, [need.cut, need.cuts].max)
          Drawings::NeedBar.new(there, need.needed, sheet.colour(need.cloth), says: amounts(need)).to_s
        end

        # @return [String] how much of a cloth, and whether there is enough of it
        def amounts(need)
          return Words.say("job.cut_of", cut: need.cut, cuts: need.cuts) if need.cut.positive?
          return Words.say("job.none_there", needed: bought(need.needed, need)) if need.there.zero?

          told = {needed: bought(need.needed, need), there: bought(need.there, need), batches: batches(need)}
          Words.say("job.there", **told).rstrip
        end

        # @return [String, nil] what is still to be bought
        def short(need)
          return unless need.short

          cost = need.cloth.cost(need.short)
          [Words.say("job.short", length: bought(need.short, need)), cost && Words.money(cost)].compact.join(", ")
        end

        # @return [String, nil] the last paper that went out
        def last_bill
          bill = @books && @outlook.bills.first or return
          name = Words.paper(bill.kind, bill.number)
          answer = bill.answer or return name
          "#{name}, #{Words.say("papers.answered.#{answer.said}")} #{day(answer.on)}"
        end

        # @return [String, nil] what was paid, and what is open
        def paid
          account = @books ? @outlook.account : nil
          return if account.nil? || account.paid.zero?

          Words.say("job.paid", paid: Words.money(account.paid.to_r), open: Words.money(account.open.to_r))
        end

        def page_title = job.title

        # @return [String] the station where work goes on
        def next_station(entry) = entry.following(@open)

        # @return [Array<String>] how a window, and a layer where there are several, can be moved
        def moves(entry) = %w[window-before window-after] + (layered?(entry) ? %w[layer-before layer-after] : [])

        # @return [String] SVG: its windows as they will hang
        def wall
          more = [Words.say("job.one_more"), more_windows] if @maker
          sheet.once(:wall, more, @open) do
            Documents::WallOfJob.new(sheet, more: more) { |entry| path(entry) }.to_s
          end
        rescue => error
          RequestLog.note("the wall of job #{job.id} can't be drawn", error)
          ""
        end

        # @return [Array<Array(Work::AtWork, String)>] what holds it: the works that a check stops or that figures are
        #   wanting of, and why
        def held
          told = sheet.once(:held) { entries.to_h { |entry| [entry.id, holds(entry)] }.compact }
          entries.filter_map { |entry| (words = told[entry.id]) && [entry, words] }
        end

        # @yieldreturn [String] the window's card, as whoever looks may use it
        def card(entry, &block) = Fragments.of(sheet, :card, entry.id, @maker, @open, &block)

        # @return [Boolean] whether its window has more than one layer
        def layered?(entry) = entry.layered?

        # @return [String] "/jobs/1/treatments/2/measure"
        def path(entry, to = next_station(entry)) = Paths.station(job.id, entry.id, to)

        private

        def section(set) =
          Work::Memory.fetch(Work::Memory.state([sheet.settled.state, unit]), [:section, set.id]) do
            Drawings::SetSection.new(set, unit).to_s
          end

        def bought(length, need) = Words.bought(length, need.cloth.sold_by)

        def batches(need)
          return Words.say("job.batches", count: need.batches.size) if need.batches.size > 1

          need.batches.first.to_s.empty? ? "" : Words.say("job.batch", batch: need.batches.first)
        end

        def day(date) = Words.date(date, :short, seen: @outlook.today)

        def promised = @outlook.promised && [Words.say("job.promised"), day(@outlook.promised), :open]

        def ready
          [Words.say("job.ready"), day(@outlook.ready), @outlook.late? ? :late : :open] if @outlook.ready
        end

        def comes_to
          account = @outlook.account or return
          [Words.say("job.comes_to"), Words.money(account.gross.to_r), :open]
        end

        def holds(entry)
          return Words.say("today.wanting", what: Words.missing_of(entry.problems, unit)) unless entry.reckoning

          entry.stop && Words.check(entry.stop, unit)
        end

        def more_windows = "#{Paths.job(job.id)}#new-window"
      end
    end
  end
end
