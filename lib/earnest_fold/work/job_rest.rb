# frozen_string_literal: true

require "time"

module EarnestFold
  module Work
    # What a job has besides its document: its notes, dates and account, what was said at the bench and learnt, what
    # came in, and its papers. Declared as everything that comes from outside is, so that it is read as strictly.
    module JobRest
      R = Reckoning
      D = R::Declare
      MONEY = /\A-?\d{1,9}(\.\d{1,2})?\z/
      SORTS = %w[making altering cloth sundries fitting travel extra rounding agreed].freeze
      # So many photographs come in at once: each is looked through.
      MOST_PHOTOGRAPHS = 60

      # A sum as it was printed.
      class SumKind < R::Value.define
        include R::FieldKinds::Kind

        def read(raw, _unit, problems) = (raw.is_a?(String) && raw.match?(MONEY)) ? raw : problems.add(:not_money)

        def schema = {"type" => "string"}
      end

      # A moment with its zone: "2026-03-14T09:30:00Z".
      class MomentKind < R::Value.define
        include R::FieldKinds::Kind

        LONGEST = 40

        def read(raw, _unit, problems)
          return problems.add(:not_a_moment) unless raw.is_a?(String) && raw.size <= LONGEST

          Time.iso8601(raw)
        rescue ArgumentError
          problems.add(:not_a_moment)
        end

        def schema = {"type" => "string", "format" => "date-time"}
      end

      # @return [Array] a field: a list of such records
      def self.listed(fields, most) = D.list(D.record(fields) { |values, _| values }.first, most: most)

      # @return [Array] a field: such a record
      def self.one(fields, default) = D.record(fields, default) { |values, _| values }

      AT = [MomentKind.new, R::Fields::REQUIRED].freeze
      DAY = R::FieldKinds::DateKind.new
      SUM, MAYBE = [[SumKind.new, R::Fields::REQUIRED], [SumKind.new, nil]]
      SAID = {by: D.text("", most: 60), at: AT}.freeze
      ENTRY = R::Fields.new(
        step: D.text(R::Fields::REQUIRED, least: 1, most: 80), curtain: D.text("", most: 40),
        kind: D.choice(Store::Bench::KINDS), value: [R::FieldKinds::TextKind.new(least: 0, most: 80), nil],
        place: D.text("", most: 40), **SAID
      )
      LESSON = R::Fields.new(went_wrong: D.text("", most: 2000), next_time: D.text("", most: 2000), **SAID)
      NOTE = R::Fields.new(
        sort: D.choice(Store::CameIn::SORTS), curtain: D.text("", most: 40), across: D.count(least: 0, most: 1000),
        down: D.count(least: 0, most: 1000), words: D.text("", most: 200), struck: D.flag(false), **SAID
      )
      PHOTOGRAPH = R::Fields.new(
        file: D.text(R::Fields::REQUIRED, least: 1, most: 80), words: D.text("", most: 200), **SAID
      )
      WORK = R::Fields.new(
        entries: listed(ENTRY, 2000), lessons: listed(LESSON, 200), condition: listed(NOTE, 200),
        photographs: listed(PHOTOGRAPH, Store::CameIn::MOST_PHOTOGRAPHS)
      )
      LINE = R::Fields.new(sort: D.choice(SORTS), name: D.text("", most: 200), words: D.text("", most: 300),
        amount: SUM)
      CONTENT = R::Fields.new(
        title: D.text("", most: 500), house: D.text("", most: 200), customer: D.text("", most: 300),
        currency: D.text("€", most: 8), school: D.text("", most: 20), tax_percent: D.text("0", most: 10),
        prices: D.choice(%w[net gross]), lines: listed(LINE, 500), net: SUM, tax: SUM, gross: SUM, paid: MAYBE,
        open: MAYBE
      )
      ANSWER = R::Fields.new(
        said: D.choice(Store::Bills::ANSWERS), on: [DAY, R::Fields::REQUIRED], name: D.text("", most: 80), **SAID
      )
      PAPER = R::Fields.new(
        kind: D.choice(Store::Bills::KINDS), number: D.count(least: 1, most: 999_999_999),
        content: one(CONTENT, R::Fields::REQUIRED), answers: listed(ANSWER, 50), **SAID
      )
      PAYMENT = R::Fields.new(on: [DAY, R::Fields::REQUIRED], name: D.text("", most: 200), amount: SUM)
      EXTRA = R::Fields.new(name: D.text("", most: 200), amount: SUM)
      ACCOUNT = R::Fields.new(
        school: D.choice(R::Account::Rules::SCHOOLS, nil), fitted: D.count(nil, most: 999), travel: MAYBE,
        extras: listed(EXTRA, 100), agreed: MAYBE, payments: listed(PAYMENT, 200)
      )
      WHOSE = R::Fields.new(
        {**Store::Customers::FIELDS.declared, house: one(Store::Customers::HOUSE_FIELDS, nil)}
      )
      DATES = R::Fields.new(promised: [DAY, nil], cloth: [DAY, nil], parts: [DAY, nil])
      FIELDS = R::Fields.new(
        notes: D.text("", most: 4000), archived: D.flag(false), dates: one(DATES, {}), account: one(ACCOUNT, {}),
        works: listed(WORK, 4000), papers: listed(PAPER, 50), customer: one(WHOSE, nil)
      )
      private_constant :ENTRY, :LESSON, :NOTE, :PHOTOGRAPH, :LINE, :ANSWER, :PAYMENT, :EXTRA, :WHOSE

      module_function

      # @param raw [Object] plain values
      # @return [Hash] as the store fills it in
      # @raise [Reckoning::Invalid]
      def read(raw)
        problems = R::Problems.new
        values = FIELDS.read(raw, R::Units::MM, problems)
        problems.raise_any
        values
      end
    end
  end
end
