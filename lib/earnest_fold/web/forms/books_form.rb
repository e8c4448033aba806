# frozen_string_literal: true

require "tzinfo"

module EarnestFold
  module Web
    module Forms
      # The house's standard times, what it asks for its work, and when it works.
      class BooksForm < FieldForm
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
          super(params, R::Units.fetch(record.unit), seen: FieldForm.seen?(params, record.version))
          @record = record
          @rules = params ? read : record.stored
        end

        # @param path [String] "diary.zone", "account.bands.0.price"
        def field(path)
          part, name, _, inner = path.split(".")
          inner ? R::Account::Rules::BAND.fetch(inner.to_sym) : PARTS.fetch(part).fetch(name.to_sym)
        end

        private

        def kept(path)
          part, name, row, inner = path.split(".")
          value = @record.rules.public_send(part).public_send(name)
          value = value[Integer(row, 10)]&.public_send(inner) if inner
          value.nil? ? nil : kind(path).kept_of(value)
        end

        def called(path)
          part, name, row, inner = path.split(".")
          inner ? Words.say("books.bands.#{inner}", number: row.to_i + 1) : Words.say("books.#{part}.#{name}")
        end

        def read
          made = NAMES.reduce(@record.stored) { |rules, path| with(rules, path) }
          refuse("diary.day_minutes", :day_too_long) if problems.empty? && day_of(made) > DAY
          (BAND_NAMES.any? { |path| anew?(path) }) ? with_bands(made) : made
        end

        def with(rules, path)
          part, name = path.split(".")
          rules.merge({part => taken(rules.fetch(part, {}), path, name)}.reject { |_, kept| kept.empty? })
        end

        # Every one of these figures is needed.
        def emptied(record, path, _key) = refuse(path, :missing) || record

        def doubt(path, value) = (path == "diary.zone" && !zone?(value)) ? [:not_a_zone, {}] : super

        def zone?(name) = TZInfo::Timezone.all_identifiers.include?(name)

        # @return [Integer] the minute of the day at which work ends
        def day_of(rules) =
          %i[day_begins day_minutes].sum do |name|
            rules.fetch("diary", {}).fetch(name.to_s) { @record.rules.diary.public_send(name) }
          end

        # Rows that are filled in; a row with one half wanting is refused there.
        def with_bands(rules)
          rows = BAND_NAMES.map { |path| [path, text(path).strip] }.each_slice(R::Account::Rules::BAND.count)
          kept = rows.reject { |row| row.all? { |_, typed| typed.empty? } }.map { |row| band(row) }
          refuse("account.bands.0.drop_to", :missing) if kept.empty?
          rules.merge("account" => rules.fetch("account", {}).merge(BANDS => kept))
        end

        def band(row) =
          row.to_h do |path, typed|
            [path.split(".").last, typed.empty? ? refuse(path, :missing) : readable(path, typed)]
          end
      end
    end
  end
end
