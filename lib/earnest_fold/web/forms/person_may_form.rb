# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # What somebody who works here may: their role, and whether they see the books.
      class PersonMayForm < FieldForm
        FIELDS = R::Fields.new(
          role: R::Declare.choice(Store::People::ROLES, said: "roles"), books: R::Declare.flag(false)
        )
        # @return [Hash{Symbol => Object}] role and books
        attr_reader :values

        # @param person [Store::People::Person]
        # @param params [Hash, nil] nil before anything was chosen
        def initialize(person, params)
          super(params, R::Units::CM)
          @now = {"role" => person.role, "books" => person.books}
          @values = @now.keys.reduce(@now) { |made, name| taken(made, name) }.transform_keys(&:to_sym)
        end

        def field(name) = FIELDS.fetch(name.to_sym)

        private

        def kept(name) = @now[name]

        def called(name) = Words.say("person.may.#{name}")

        def emptied(record, name, _key) = refuse(name, :missing) || record
      end
    end
  end
end
