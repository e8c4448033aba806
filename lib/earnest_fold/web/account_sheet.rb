# frozen_string_literal: true

module EarnestFold
  module Web
    # A job's account made from its sheet: its work, the cloth that is bought for it, and what else it is asked for.
    class AccountSheet
      A = Reckoning::Account
      # What a job's account is kept as where nothing is said.
      NOTHING = {"school" => nil, "fitted" => nil, "travel" => nil, "extras" => []}.freeze

      attr_reader :sheet

      # @param sheet [JobSheet]
      def initialize(sheet)
        @sheet = sheet
      end

      # @return [Reckoning::Account::Rules]
      def rules = sheet.house.account

      # @return [Array<Entry, AlteredEntry>] those that can be reckoned
      def works = @works ||= sheet.works.select(&:reckoning)

      # @return [Hash] as it is kept
      def kept = NOTHING.merge(sheet.job.account)

      MADE = Store::Remembered.new(120)
      private_constant :MADE

      # @return [Reckoning::Account::Statement]
      def statement =
        @statement ||= once(:statement) { A::Statement.new(works.map { |entry| work(entry) }, bought, asked, rules) }

      # What is made of the account, made once for as long as nothing that it depends on changes.
      # @yieldreturn [Object]
      def once(name, &block) = MADE.fetch([name, key], &block)

      # @param entry [Entry, AlteredEntry]
      # @return [Reckoning::Account::Work]
      def work(entry)
        made = entry.reckoning
        widths, drop, curtains =
          if entry.alteration?
            [made.curtain.curtains * made.curtain.widths, made.alteration.length_at_last, made.curtain.curtains]
          else
            [made.widths_total, made.finished_drop, made.curtains.size]
          end
        A::Work.new(
          title: entry.title,
          minutes: minutes_by_step(entry).values.sum(0r),
          widths: widths,
          drop: drop,
          curtains: curtains,
          altered: entry.alteration?
        )
      end

      # @param entry [Entry, AlteredEntry]
      # @return [Hash{String => Rational}] by the step's code
      def minutes_by_step(entry) =
        entry
          .reckoned
          .once(:minutes_by_step, sheet.house) do
            entry.steps.group_by(&:code).transform_values { |steps| steps.sum(0r, &:minutes) }
          end

      # @return [Reckoning::Account::Asked]
      def asked
        extras =
          kept["extras"].map do |extra|
            A::Extra.new(name: extra["name"], amount: Reckoning::Money.read(extra["amount"]))
          end
        A::Asked.new(
          school: kept["school"],
          fitted: kept["fitted"] || fitted,
          travel: Reckoning::Money.of(Reckoning::Exact.read(kept["travel"] || rules.travel)),
          extras: extras
        )
      end

      # @return [Hash] plain values, as a paper keeps them: what it was is not reckoned again
      def content(customer)
        {
          "title" => sheet.job.title,
          "house" => sheet.settled.name,
          "customer" => customer,
          "currency" => rules.currency,
          "school" => statement.school,
          "tax_percent" => Words.number(rules.tax_percent),
          "prices" => rules.prices,
          "lines" => statement.lines.map do |line|
            {
              "sort" => line.sort.to_s,
              "name" => line.name,
              "words" => Words.account_line(line, sheet.unit),
              "amount" => line.amount.to_s
            }
          end,
          "net" => statement.net.to_s,
          "tax" => statement.tax.to_s,
          "gross" => statement.gross.to_s
        }
      end

      # @param content [Hash] as a paper keeps it
      # @return [Array<Reckoning::Account::Line>]
      def self.lines(content) =
        content["lines"].map do |line|
          A::Line.new(
            sort: line["sort"].to_sym,
            name: line["name"],
            data: {},
            amount: Reckoning::Money.read(line["amount"])
          )
        end

      private

      # As many windows as there are, where it isn't all somebody's own curtains.
      def fitted = sheet.entries.select(&:reckoning).map { |entry| entry.window.id }.uniq.size

      def key =
        @key ||= [
          sheet.key,
          works.map { |entry| [entry.reckoned.key, entry.title, entry.finished?] },
          kept,
          cloth_sources,
          sheet.house,
          sheet.unit
        ]

      # Prices stand with the cloths.
      def cloth_sources = sheet.cloth_records.select { |record| sheet.cloths_used.include?(record.id) }.map(&:source)

      def bought =
        sheet
          .cloths_needed
          .select { |made| made.cloth.price }
          .map { |made| A::Bought.new(name: made.cloth.name, length: made.length_to_order, price: made.cloth.price) }
    end
  end
end
