# frozen_string_literal: true

require "uri"

module EarnestFold
  module Web
    module Forms
      # A letter before it goes: to whom, about what, and what it says.
      class LetterForm < FieldForm
        NAMES = Store::Letters::TEXTS.map(&:to_s).freeze
        # As they are to be kept.
        # @return [Hash{Symbol => String}]
        attr_reader :values

        # @param letter [Store::Letters::Letter]
        # @param params [Hash, nil] nil before anything was typed
        # @param going [Boolean] whether it is to go: then nothing may be missing
        def initialize(letter, params, going: false)
          super(params, R::Units::CM)
          @now = NAMES.to_h { |name| [name, letter.public_send(name)] }
          made = NAMES.reduce(@now) { |values, name| taken(values, name) }
          @values = NAMES.to_h { |name| [name.to_sym, made.fetch(name, "")] }
          missing if going && problems.empty?
        end

        # @return [R::Field]
        def field(name) = Store::Letters::FIELDS.fetch(name.to_sym)

        private

        def kept(name) = @now[name]

        def missing = NAMES.each { |name| refuse(name, :letter_lacks) if values[name.to_sym].empty? }

        # A browser sends its lines another way than they are kept.
        def alike?(name, saw) = saw.to_s.gsub("\r\n", "\n").strip == @now[name].strip

        def called(name) = Words.say("letters.fields.#{name}")

        def doubt(name, value)
          return [:not_a_mail_address, {}] if name == "to" && !URI::MailTo::EMAIL_REGEXP.match?(value)

          super
        end
      end
    end
  end
end
