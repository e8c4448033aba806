# frozen_string_literal: true

module EarnestFold
  module Work
    # A job's account made from its sheet: its work, the cloth that is bought for it, and what else it is asked for.
    class Account
      include Remembers

      A = Reckoning::Account
      # What a job's account is kept as where nothing is said.
      NOTHING = {"school" => nil, "fitted" => nil, "travel" => nil, "extras" => []}.freeze

      attr_reader :sheet

      # @param sheet [Job]
      def initialize(sheet)
        @sheet = sheet
      end

      # @return [Reckoning::Account::Rules]
      def rules = sheet.house.account

      # @return [Array<Treatment, Alteration>] those that can be reckoned
      def works = @works ||= sheet.works.select(&:reckoning)

      # @return [Hash] as it is kept
      def kept = NOTHING.merge(sheet.job.account)

      # @return [Reckoning::Account::Statement]
      def statement =
        @statement ||= once(:statement) { A::Statement.new(works.map(&:billed), bought, asked, rules) }

      # @return [Array] all that it was given
      def made_of = [sheet.state]

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

      private

      # As many windows as there are, where it isn't all somebody's own curtains.
      def fitted = sheet.entries.select(&:reckoning).map { |entry| entry.window.id }.uniq.size

      def bought =
        sheet
          .cloths_needed
          .select { |made| made.cloth.price }
          .map { |made| A::Bought.new(name: made.cloth.name, length: made.length_to_order, price: made.cloth.price) }
    end
  end
end
