# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # What the house decides once, and what small parts it has on hand.
      class HouseForm < FieldForm
        OWN = R::Fields.new(
          name: R::Declare.text(R::Fields::REQUIRED, least: 1, most: 80),
          unit: R::Declare.choice(R::Units::ALL.keys, said: "units")
        )
        # The parts of the page, each with the fields in it.
        PARTS = {
          "rules" =>
            R::Fields.new(R::HouseRules::FIELDS.declared.except(*R::HouseRules::BOOKS)),
          "on_hand" => R::Sundries::ON_HAND
        }.freeze
        PATHS = PARTS.transform_values { |fields| fields.names.map(&:to_s) }.freeze

        attr_reader :values

        # @param record [Store::House::Record]
        # @param params [Hash, nil] what was typed; nil before anything was
        def initialize(record, params)
          super(params, R::Units.fetch(record.unit), seen: FieldForm.seen?(params, record.version))
          @record = record
          @values = params ? read : {}
        end

        # @param path [String] "name", "rules.cutter"
        def field(path)
          part, name = path.split(".")
          name ? PARTS.fetch(part).fetch(name.to_sym) : OWN.fetch(part.to_sym)
        end

        private

        def kept(path)
          part, name = path.split(".")
          return @record.public_send(part) unless name

          kept = (part == "rules") ? @record.stored[name] : @record.on_hand[name]
          kept.nil? ? usual(path) : kept
        end

        def usual(path) = field(path).default&.then { |value| kind(path).kept_of(value) }

        def called(path) = Words.say("house_fields.#{path.split(".").last}")

        def read
          own = OWN.names.map(&:to_s).reduce({}) { |made, name| taken(made, name) }
          {
            name: own.fetch("name", @record.name),
            unit: own.fetch("unit", @record.unit),
            rules: read_part("rules", @record.stored),
            on_hand: read_part("on_hand", @record.on_hand)
          }
        end

        def read_part(part, stored) =
          PATHS.fetch(part).reduce(stored) { |made, name| taken(made, "#{part}.#{name}", name) }

        # The house has a name, and a tape.
        def emptied(record, path, key) = OWN.names.include?(key.to_sym) ? refuse(path, :missing) || record : super
      end
    end
  end
end
