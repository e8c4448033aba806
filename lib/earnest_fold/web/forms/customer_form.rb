# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # A customer, new or known: a name is enough.
      class CustomerForm < TextsForm
        NAMES = Store::Customers::TEXTS.map(&:to_s).freeze
        FIELDS, CALLED, MAIL = Store::Customers::FIELDS, "customer.fields", "mail"

        # @param customer [Store::Customers::Customer, nil] nil for a new one
        # @param params [Hash, nil] nil before anything was typed
        def initialize(customer, params)
          super
          refuse("name", :customer_missing) if params && values[:name].empty? && problems.empty?
        end
      end
    end
  end
end
