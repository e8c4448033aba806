# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # Somebody who works here: what they are called, their role, and whether they see the books.
      class KnownPersonForm < FieldForm
        FIELDS = Store::People::FIELDS
        # @return [Hash{Symbol => Object}] name, role and books
        attr_reader :values

        # @param person [Store::People::Person]
        # @param params [Hash, nil] nil before anything was chosen
        def initialize(person, params)
          super(params, R::Units::CM)
          @now = FIELDS.names.to_h { |name| [name.to_s, person.public_send(name)] }
          @values = @now.keys.reduce(@now) { |made, name| taken(made, name) }.transform_keys(&:to_sym)
        end

        def field(name) = FIELDS.fetch(name.to_sym)

        private

        def kept(name) = @now[name]

        def called(name) = Words.say("person.fields.#{name}")

        def emptied(record, name, _key) = refuse(name, (name == "name") ? :person_nameless : :missing) || record
      end
    end
  end
end
