# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # The books: what went out, the last first, and what of it is open.
      class Written
        attr_reader :lines

        # @param lines [Array<Store::Bills::Listed>]
        # @param open [Reckoning::Money] of all invoices
        # @param currency [String] the house's
        def initialize(lines, open, currency:, page: 1)
          @lines, @open, @currency, @page = lines, open, currency, page
        end

        def page_title = Words.say("written.title")

        # @return [Pager]
        def pages = Pager.new(Paths.written, @page, lines.size == Store::Bills::MOST_LISTED)

        # @return [String] with the currency
        def open = "#{Words.money(@open.to_r)} #{@currency}"

        # @return [String] "Invoice 12"
        def name(line) = Words.paper(line.bill.kind, line.bill.number)

        # @return [String] what it came to, with its own currency
        def sum(line) = "#{line.bill.content["gross"]} #{line.bill.content["currency"]}"

        # @return [String] what is open of it by now
        def open_of(line) = line.open ? Words.money(line.open.to_r) : ""

        # @return [Boolean] whether anybody still owes it
        def owed?(line) = !line.open.nil? && line.open.to_r.positive?

        def path(line) = Paths.paper(line.bill.job_id, line.bill.id)
      end
    end
  end
end
