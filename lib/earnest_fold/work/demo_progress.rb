# frozen_string_literal: true

module EarnestFold
  module Work
    # How far the jobs of the demo house have come when it is first opened: one is at the table, one at the bench, one
    # hangs, one is invoiced and half paid, and for one a quote went out. Everything is said as people would say it.
    class DemoProgress
      CUTTING = "Snug"
      AT_BENCH = "Attic"
      HUNG = "Boathouse"
      INVOICED = "Studio"
      QUOTED = "Residents' lounge"
      # How many steps of each window at the bench are done, the first window's first.
      DONE = [14, 5, 0].freeze
      AT_BENCH_BY, HUNG_BY = "Ida Marram", "Joss Teal"
      # What is received of each cloth beyond what is ordered.
      SPARE = Reckoning::Length.mm(600)

      # @param workroom [Store::Workroom] with the whole demo house in it
      # @yieldparam account [Account]
      # @yieldparam customer [String]
      # @yieldreturn [Hash] what a bill keeps
      def initialize(workroom, &bill)
        @workroom, @bill = workroom, bill
      end

      # @param today [Date]
      def load(today: Date.today)
        write(QUOTED, "quote", "Mrs Tallow")
        quote = @workroom.bills.of(id_of(QUOTED)).first
        @workroom.bills.answer(quote.job_id, quote.id, "accepted", today)
        write(AT_BENCH, "quote", "Heron Ferry House")
        to_the_table(CUTTING, 1)
        [AT_BENCH, HUNG, INVOICED].each { |title| cut(title) }
        works(AT_BENCH).zip(DONE) { |work, count| tick(work, count.to_i, AT_BENCH_BY) }
        [HUNG, INVOICED].each { |title| hang(title) }
        invoiced(today)
      end

      private

      def ids = @ids ||= @workroom.jobs.list.to_h { |line| [line.title, line.id] }

      def id_of(title) = ids.fetch(title)

      def job(title) = Workroom.new(@workroom).job(id_of(title))

      def works(title) = job(title).works

      def cutting(title) = Cutting.of(job(title), @workroom)

      # Each cloth comes in one piece, is planned, and all of it is cut.
      def cut(title)
        cutting(title).cloths.each { |cloth| receive(cloth) }
        to_the_table(title)
      end

      def receive(cloth)
        length = Store::Records.typed(cloth.reckoned.length_to_order + SPARE)
        spec = {"delivered" => length, "measured" => length, "batch" => cloth.cloth.name[0].upcase + cloth.id.to_s,
                "squared" => true}
        @workroom.shelf.receive(cloth.id, @workroom.shelf.next_label, spec)
      end

      # @param most [Integer, nil] so many cuts are made of each cloth; nil for all
      def to_the_table(title, most = nil)
        cutting(title).cloths.select(&:plan).each do |cloth|
          plan = cloth.plan
          facts = {proved: plan.proved, used: plan.length_used, bound: plan.bound}
          @workroom.plans.take(id_of(title), cloth.id, facts, cloth.lines, seen: cloth.seen)
          made(title, cloth.id, most)
        end
      end

      def made(title, cloth, most)
        cuts = @workroom.plans.of(id_of(title)).of(cloth)
        least = @workroom.house.read.rules.offcut_least
        cuts.first(most || cuts.size).each { |one| ida.plans.tick([id_of(title), cloth], one.id, least: least) }
      end

      def ida = @workroom.as(AT_BENCH_BY)

      def tick(work, count, by)
        work.steps.first(count).flat_map(&:names).each { |name| @workroom.as(by).bench.say(work.id, *name, "done") }
      end

      def hang(title)
        works(title).each do |work|
          tick(work, work.steps.size, HUNG_BY)
          @workroom.as(HUNG_BY).bench.say(work.id, Store::Bench::HUNG, "", "done")
        end
      end

      def write(title, kind, customer)
        account = Account.new(job(title))
        @workroom.bills.write(id_of(title), kind, @bill.call(account, customer))
        account
      end

      # Half of it was paid when the cloth was ordered.
      def invoiced(today)
        account = Account.new(job(INVOICED))
        half = Reckoning::Money.of(account.statement.gross.to_r / 2)
        paid = {"on" => (today - 12).iso8601, "name" => "Deposit", "amount" => half.to_s}
        kept = account.kept.merge("payments" => [paid])
        @workroom.jobs.set_account(id_of(INVOICED), kept, version: @workroom.jobs.find(id_of(INVOICED)).version)
        write(INVOICED, "invoice", "Heron Ferry House")
      end
    end
  end
end
