# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # The quotes, orders and invoices that went out, of all jobs.
      class Written < Handler
        get Paths.written, :show, to: Access::BOOKS

        def show
          shown = Screens::Written.new(
            workroom.bills.list(page: page_asked),
            workroom.bills.open,
            currency: house.rules.account.currency,
            page: page_asked
          )
          page(:written, shown)
        end
      end
    end
  end
end
