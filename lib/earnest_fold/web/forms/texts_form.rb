# frozen_string_literal: true

require "uri"

module EarnestFold
  module Web
    module Forms
      # A form of texts alone, each declared by its record and merged by field. Who is one says which (`NAMES`), where
      # they are declared (`FIELDS`), under which words they are called (`CALLED`), and which of them is an address that
      # mail is sent to (`MAIL`).
      class TextsForm < FieldForm
        # As they are to be kept.
        # @return [Hash{Symbol => String}]
        attr_reader :values

        # @param record [Object, nil] as it is kept; nil for something new
        # @param params [Hash, nil] nil before anything was typed
        def initialize(record, params)
          super(params, R::Units::CM, seen: record.nil?)
          @now = names.to_h { |name| [name, record ? record.public_send(name) : ""] }
          made = names.reduce(@now) { |values, name| taken(values, name) }
          @values = names.to_h { |name| [name.to_sym, made.fetch(name, "")] }
        end

        # @return [R::Field]
        def field(name) = self.class::FIELDS.fetch(name.to_sym)

        private

        def names = self.class::NAMES

        def kept(name) = @now[name]

        def alike?(name, saw) = saw.to_s.strip == @now[name].strip

        def called(name) = Words.say("#{self.class::CALLED}.#{name}")

        # Nothing can be sent to what is no address.
        def doubt(name, value)
          return [:not_a_mail_address, {}] if name == self.class::MAIL && !URI::MailTo::EMAIL_REGEXP.match?(value)

          super
        end
      end
    end
  end
end
