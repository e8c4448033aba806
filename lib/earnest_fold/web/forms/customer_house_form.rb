# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # A house of a customer's, new or known: what it is called, where it is, and how one comes in.
      class CustomerHouseForm < TextsForm
        NAMES = Store::Customers::OF_HOUSE.map(&:to_s).freeze
        FIELDS, CALLED, MAIL = Store::Customers::HOUSE_FIELDS, "customer.of_house", nil

        # @param house [Store::Customers::House, nil] nil for a new one
        # @param params [Hash, nil] nil before anything was typed
        def initialize(house, params)
          super
          refuse("name", :house_missing) if params && values[:name].empty? && problems.empty?
        end
      end
    end
  end
end
