# frozen_string_literal: true

module EarnestFold
  module Documents
    # What a quote or an invoice is written from: plain values, as a paper keeps them. What it was is not reckoned
    # again.
    module BillContent
      A = Reckoning::Account

      module_function

      # @param account [Work::Account]
      # @param customer [String]
      # @return [Hash]
      #
      #   account = Work::Account.new(in_hand, {})
      #   Documents::BillContent.of(account, "Wenna Tern")["customer"] # => "Wenna Tern"
      def of(account, customer)
        statement, rules = account.statement, account.rules
        {
          "title" => account.sheet.job.title,
          "house" => account.sheet.settled.name,
          "customer" => customer,
          "currency" => rules.currency,
          "school" => statement.school,
          "tax_percent" => Words.number(rules.tax_percent),
          "prices" => rules.prices,
          "lines" => statement.lines.map { |line| told(line, account.sheet.unit) },
          "net" => statement.net.to_s,
          "tax" => statement.tax.to_s,
          "gross" => statement.gross.to_s,
          **paid(statement)
        }
      end

      # @param content [Hash] as a paper keeps it
      # @return [Array<Reckoning::Account::Charge>]
      #
      #   account = Work::Account.new(in_hand, {})
      #   Documents::BillContent.lines(Documents::BillContent.of(account, "")).size # => 8
      def lines(content) =
        content["lines"].map do |line|
          A::Charge.new(
            sort: line["sort"].to_sym,
            name: line["name"],
            data: {},
            amount: Reckoning::Money.read(line["amount"])
          )
        end

      # @param content [Hash] as a paper keeps it
      # @return [Array<Array(Symbol, String, String)>] what the lines come to, with tax on top of them or in them: what
      #   it is (:net, :tax, :gross), its words, and the sum
      #
      #   account = Work::Account.new(in_hand, {})
      #   Documents::BillContent.sums(Documents::BillContent.of(account, "")).map(&:first) # => [:net, :tax, :gross]
      def sums(content)
        on_top = content["prices"] == "net"
        tax = [:tax, Words.say("papers.#{on_top ? "tax" : "tax_in"}", percent: content["tax_percent"]), content["tax"]]
        gross = [:gross, Words.say("papers.gross"), content["gross"]]
        on_top ? [[:net, Words.say("papers.net"), content["net"]], tax, gross] : [gross, tax]
      end

      # @api private
      #
      #   account = Work::Account.new(in_hand, {})
      #   Documents::BillContent.paid(account.statement) # => {}
      def paid(statement) =
        statement.paid.zero? ? {} : {"paid" => statement.paid.to_s, "open" => statement.open.to_s}

      # @api private
      #
      #   Documents::BillContent.told(statement.lines.first, Units::CM)["words"] # => "Making Office: 2 h"
      def told(line, unit) =
        {
          "sort" => line.sort.to_s,
          "name" => line.name,
          "words" => Words.account_line(line, unit),
          "amount" => line.amount.to_s
        }
    end
  end
end
