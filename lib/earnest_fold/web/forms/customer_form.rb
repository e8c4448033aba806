# frozen_string_literal: true

require "uri"

module EarnestFold
  module Web
    module Forms
      # A customer, new or known: a name is enough.
      class CustomerForm < FieldForm
        NAMES = Store::Customers::TEXTS.map(&:to_s).freeze
        # As they are to be kept.
        # @return [Hash{Symbol => String}]
        attr_reader :values

        # @param customer [Store::Customers::Customer, nil] nil for a new one
        # @param params [Hash, nil] nil before anything was typed
        def initialize(customer, params)
          super(params, R::Units::CM, seen: customer.nil?)
          @now = NAMES.to_h { |name| [name, customer ? customer.public_send(name) : ""] }
          made = NAMES.reduce(@now) { |values, name| taken(values, name) }
          @values = NAMES.to_h { |name| [name.to_sym, made.fetch(name, "")] }
          refuse("name", :customer_missing) if params && values[:name].empty? && problems.empty?
        end

        # @return [R::Field]
        def field(name) = Store::Customers::FIELDS.fetch(name.to_sym)

        private

        def kept(name) = @now[name]

        # A browser sends its lines another way than they are kept.
        def alike?(name, saw) = saw.to_s.gsub("\r\n", "\n").strip == @now[name]

        def called(name) = Words.say("customer.fields.#{name}")

        # Nothing can be sent to what is no address.
        def doubt(name, value)
          return [:not_a_mail_address, {}] if name == "mail" && !URI::MailTo::EMAIL_REGEXP.match?(value)

          super
        end
      end
    end
  end
end
