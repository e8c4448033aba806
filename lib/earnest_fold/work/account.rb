# frozen_string_literal: true

module EarnestFold
  module Work
    # A job's account made from its sheet: its work, the cloth that is bought for it, and what else it is asked for.
    class Account
      include Remembers

      A = Reckoning::Account
      # What a job's account is kept as where nothing is said.
      NOTHING = {
        "school" => nil, "fitted" => nil, "travel" => nil, "extras" => [], "agreed" => nil, "payments" => []
      }.freeze

      attr_reader :sheet

      # @param sheet [Job]
      # @param said [Hash{Integer => Array<Store::Bench::Entry>}] at the bench, by work
      def initialize(sheet, said = {})
        @sheet, @said = sheet, said
      end

      # @return [Reckoning::Account::Rules]
      #
      #   Work::Account.new(in_hand, {}).rules.currency # => "€"
      def rules = sheet.house.account

      # @return [Array<Treatment, Alteration>] those that can be reckoned
      #
      #   Work::Account.new(in_hand, {}).works.size # => 3
      def works = @works ||= sheet.works.select(&:reckoning)

      # @return [Hash] as it is kept
      #
      #   Work::Account.new(in_hand).kept.keys # => ["school", "fitted", "travel", "extras", "agreed", "payments"]
      def kept = NOTHING.merge(sheet.job.account)

      # @return [Reckoning::Account::Statement]
      #
      #   Work::Account.new(in_hand, {}).statement.clocked? # => false
      def statement =
        @statement ||= once(:statement) { A::Statement.new(billed, bought, asked, rules) }

      # @return [Array] all that it was given
      # What is said at the bench is only added to: how much there is, and the last of it, stand for all.
      def made_of = [sheet.state, @said.transform_values { |said| [said.size, said.last.id] }]

      # @return [Hash{String => Rational}] minutes by the clock, by the code of the step
      #
      #   Work::Account.new(in_hand, {}).clocked_by_step # => {}
      def clocked_by_step =
        works.reduce({}) { |sums, work| sums.merge(clocks(work)) { |_, sum, more| sum + more } }

      # @return [Reckoning::Account::Asked]
      #
      #   Work::Account.new(in_hand).asked.fitted # => 2
      def asked
        extras =
          kept["extras"].map do |extra|
            A::Extra.new(name: extra["name"], amount: Reckoning::Money.read(extra["amount"]))
          end
        A::Asked.new(
          school: kept["school"],
          fitted: kept["fitted"] || fitted,
          travel: Reckoning::Money.of(Reckoning::Exact.read(kept["travel"] || rules.travel)),
          extras: extras,
          agreed: kept["agreed"] && Reckoning::Money.read(kept["agreed"]),
          payments: payments
        )
      end

      private

      def payments =
        kept["payments"].map do |paid|
          A::Payment.new(on: paid["on"], name: paid["name"], amount: Reckoning::Money.read(paid["amount"]))
        end

      # A step of which no clock ran counts as it was planned.
      def billed =
        works.map do |work|
          clocked = clocks(work)
          next work.billed if clocked.empty?

          work.billed.with(clocked: work.minutes_by_step.merge(clocked).values.sum(0r))
        end

      def clocks(work)
        said = @said.fetch(work.id) { return {} }
        log = BenchLog.new(said)
        work.steps.select { |step| log.timed?(step) }.to_h { |step| [step.code, log.spent(step).minutes] }
      end

      # As many windows as there are, where it isn't all somebody's own curtains.
      def fitted = sheet.entries.select(&:reckoning).map { |entry| entry.window.id }.uniq.size

      def bought =
        sheet
          .cloths_needed
          .select { |made| made.cloth.price }
          .map { |made| bought_of(made.cloth, made.length_to_order) }

      def bought_of(cloth, length) =
        A::Bought.new(name: cloth.name, length: length, sold_by: cloth.sold_by, price: cloth.price)
    end
  end
end
