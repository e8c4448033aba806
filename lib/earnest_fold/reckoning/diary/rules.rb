# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Diary
      # Days of the week, each once: 1 is Monday.
      class WeekdaysKind < FieldKinds::CountListKind
        # @param raw [Object] as a document has it
        # @param unit [Unit]
        # @param problems [Problems]
        # @return [Array<Integer>, nil]
        #
        #   Diary::WeekdaysKind.new.read([5, 1, 1], Units::CM, Problems.new) # => [1, 5]
        def read(raw, unit, problems)
          days = super
          return days if days.nil? || days.include?(nil)
          return problems.add(:not_weekdays) unless days.all? { |day| day <= 7 }

          days.uniq.sort.freeze
        end
      end

      # When the workroom works: from when, how many minutes a day, on which days of the week (1 is Monday), how many
      # people, how many of each bench; how many days cloth relaxes before it is cut and folds set before hanging; and
      # its time zone.
      class Rules < Value.define(
        :day_begins,
        :day_minutes,
        :weekdays,
        :people,
        :tables,
        :machines,
        :presses,
        :relax_days,
        :setting_days,
        :zone
      )
        FIELDS = Fields.new(
          day_begins: [FieldKinds::ClockKind.new(latest: 1380), 510],
          day_minutes: Declare.count(450, least: 30, most: 1440),
          weekdays: [WeekdaysKind.new, [1, 2, 3, 4, 5].freeze],
          people: Declare.count(1, least: 1, most: 50),
          tables: Declare.count(1, least: 1, most: 20),
          machines: Declare.count(1, least: 1, most: 20),
          presses: Declare.count(1, least: 1, most: 20),
          relax_days: Declare.count(1, least: 0, most: 30),
          setting_days: Declare.count(2, least: 0, most: 30),
          zone: Declare.text("UTC", least: 1, most: 60)
        )

        # @param bench [Symbol] :table, :machine, :press or :hands
        # @return [Integer] how many of it there are
        #
        #   Diary::USUAL.count(:table) # => 1
        def count(bench) = {table: tables, machine: machines, press: presses}.fetch(bench, people)
      end

      USUAL = Rules.new(**Rules::FIELDS.to_h { |field| [field.name, field.default] })
    end
  end
end
