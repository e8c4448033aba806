# frozen_string_literal: true

require "tzinfo"

module EarnestFold
  module Web
    module Forms
      # The house's standard times, what it asks for its work, and when it works.
      class BooksForm
        include Merging
        include Refusing

        R = Reckoning
        K = R::FieldKinds
        PARTS = {
          "times" => R::MakingUp::StandardTimes::FIELDS,
          "account" => R::Account::Rules::FIELDS,
          "diary" => R::Diary::Rules::FIELDS
        }.freeze
        # Prices by the width stand in rows of their own.
        BANDS, ROWS = "bands", 6
        NAMES = PARTS
          .flat_map { |part, fields| (fields.names.map(&:to_s) - [BANDS]).map { |name| "#{part}.#{name}" } }
          .freeze
        BAND_NAMES =
          (0...ROWS)
            .flat_map { |row| R::Account::Rules::BAND.names.map { |name| "account.bands.#{row}.#{name}" } }
            .freeze
        DAY = 24 * 60

        attr_reader :rules

        # @param record [Store::House::Record]
        # @param params [Hash, nil] what was typed; nil before anything was
        def initialize(record, params)
          @record, @params = record, params
          @unit = R::Units.fetch(record.unit)
          @saw = Saw.new(params || {}) { |path| (params["version"] == record.version.to_s) ? shown(path) : nil }
          @rules = params ? read : record.stored
        end

        # @return [String] what stands in a field: as typed, else as it is
        def text(path) = (@params && @params[path].is_a?(String)) ? @params[path] : shown(path)

        # @return [#read] the kind of a field
        def self.kind(path)
          part, name, _, inner = path.split(".")
          inner ? R::Account::Rules::BAND.fetch(inner.to_sym).kind : PARTS.fetch(part).fetch(name.to_sym).kind
        end

        def valid? = super && clashes.empty?

        # @return [String] what is stored of a field, as a person reads it
        def shown(path)
          part, name, row, inner = path.split(".")
          value = @record.rules.public_send(part).public_send(name)
          value = value[Integer(row, 10)]&.public_send(inner) if inner
          write(path, value)
        end

        private

        def called(path)
          part, name, row, inner = path.split(".")
          inner ? Words.say("books.bands.#{inner}", number: row.to_i + 1) : Words.say("books.#{part}.#{name}")
        end

        def write(path, value)
          case BooksForm.kind(path)
          when K::PriceKind then value ? Words.money(value) : ""
          when K::LengthKind then value ? Words.length(value, @unit) : ""
          when K::NumberKind then Words.number(value, 2)
          when K::CountListKind then value.join(", ")
          else (path == "diary.day_begins") ? Days.clock(value) : value.to_s
          end
        end

        def read
          made = NAMES.reduce(@record.stored) { |rules, path| taken(rules, path) }
          refuse("diary.day_minutes", :day_too_long) if problems.empty? && day_of(made) > DAY
          (BAND_NAMES.any? { |path| typed_anew?(path) }) ? with_bands(made) : made
        end

        def typed_anew?(path) = @params[path].is_a?(String) && mine?(path, @params[path].strip)

        def taken(rules, path)
          return rules unless typed_anew?(path)

          part, name = path.split(".")
          value = value_of(path, @params[path].strip)
          value.nil? ? rules : rules.merge(part => rules.fetch(part, {}).merge(name => value))
        end

        # @return [Object, nil] as it is kept; nil where it can't be taken
        def value_of(path, typed)
          return refuse(path, :missing) if typed.empty?
          return Days.minute(typed) || refuse(path, :not_a_time) if path == "diary.day_begins"
          return refuse(path, :not_a_zone) if path == "diary.zone" && !TZInfo::Timezone.all_identifiers.include?(typed)

          value = SpecFields.to_store(typed, BooksForm.kind(path), @unit)
          place = R::Problems.new
          BooksForm.kind(path).read(value, @unit, place)
          place.any? ? refuse(path, place.to_a.first.code, **place.to_a.first.data) : value
        end

        # @return [Integer] the minute of the day at which work ends
        def day_of(rules) =
          %i[day_begins day_minutes].sum do |name|
            rules.fetch("diary", {}).fetch(name.to_s) { @record.rules.diary.public_send(name) }
          end

        # Rows that are filled in; a row with one half wanting is refused there.
        def with_bands(rules)
          rows =
            Array.new(ROWS) do |row|
              R::Account::Rules::BAND.names.to_h do |name|
                "account.bands.#{row}.#{name}".then do |path|
                  [path, (@params[path].is_a?(String) ? @params[path] : shown(path)).strip]
                end
              end
            end
          kept =
            rows
              .reject { |row| row.values.all?(&:empty?) }
              .map { |row| row.to_h { |path, typed| [path.split(".").last, value_of(path, typed)] } }
          refuse("account.bands.0.drop_to", :missing) if kept.empty?
          rules.merge("account" => rules.fetch("account", {}).merge(BANDS => kept))
        end
      end
    end
  end
end
