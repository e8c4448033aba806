# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # What the house decides once, and what small parts it has on hand.
      class HouseForm
        include Merging
        include Refusing

        R = Reckoning
        LONGEST = 80
        # Small parts that are counted, and those that are measured off.
        COUNTED = %w[hooks gliders rings eyelets weights].freeze
        MEASURED = %w[tape_length buckram_length chain].freeze
        COUNT = R::FieldKinds::CountKind.new(least: 0, most: 1_000_000)
        MEASURE = R::FieldKinds::LengthKind.new(least: :zero)

        attr_reader :values

        # @param record [Store::House::Record]
        # @param params [Hash, nil] what was typed; nil before anything was
        def initialize(record, params)
          @record, @params = record, params
          @unit = R::Units.fetch(record.unit)
          @saw = Saw.new(params || {}) { |name| (params["version"] == record.version.to_s) ? shown(name) : nil }
          @values = params ? read : {}
        end

        # @return [String] what stands in a field: as typed, else as stored
        def text(name)
          return @params[name] if @params && @params[name].is_a?(String)

          shown(name)
        end

        def valid? = super && clashes.empty?

        # @return [String] what is stored of a field, as a person reads it
        def shown(name)
          part, key = name.split(".")
          case part
          when "name" then @record.name
          when "unit" then @record.unit
          when "rules" then SpecFields.text(@record.stored[key] || default(key), rule(key), @unit)
          else SpecFields.text(@record.on_hand[key], part_kind(key), @unit)
          end
        end

        private

        def called(name) = Words.say("house_fields.#{name.split(".").last}")

        def rule(key) = R::HouseRules::FIELDS.fetch(key.to_sym).kind

        def default(key)
          value = R::HouseRules::FIELDS.fetch(key.to_sym).default
          case value
          when R::Length then "#{value.mm.to_i} mm"
          when Rational then Words.number(value)
          else value
          end
        end

        def part_kind(key) = COUNTED.include?(key) ? COUNT : MEASURE

        def read
          rules =
            (R::HouseRules::FIELDS.names - R::HouseRules::BOOKS).reduce(@record.stored) do |made, name|
              taken(made, "rules.#{name}", name.to_s, rule(name.to_s))
            end
          on_hand =
            (COUNTED + MEASURED).reduce(@record.on_hand) do |made, name|
              taken(made, "on_hand.#{name}", name, part_kind(name))
            end
          {name: house_name, unit: unit, rules: rules, on_hand: on_hand}
        end

        def house_name
          return @record.name unless anew?("name")

          name = @params["name"].strip
          refuse("name", name.empty? ? :missing : :too_much_text, most: LONGEST) unless name.size.between?(1, LONGEST)
          name
        end

        def unit
          return @record.unit unless anew?("unit")

          if R::Units::ALL.key?(@params["unit"])
            @params["unit"]
          else
            refuse("unit", :not_a_choice, words: R::Units::ALL.keys) || @record.unit
          end
        end

        def anew?(name) = @params[name].is_a?(String) && mine?(name, @params[name].strip)

        def taken(made, path, key, kind)
          return made unless anew?(path)

          typed = @params[path].strip
          return made.except(key) if typed.empty?

          value = SpecFields.to_store(typed, kind, @unit)
          problems = R::Problems.new
          kind.read(value, @unit, problems)
          if problems.any?
            refuse(path, problems.to_a.first.code, **problems.to_a.first.data) || made
          else
            made.merge(key => value)
          end
        end
      end
    end
  end
end
