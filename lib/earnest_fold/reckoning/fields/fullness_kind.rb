# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module FieldKinds
      # Fullness in any of its three writings: "2.2" is a ratio ("2½", "2.2 ×" and "2:1" too), "220 %" in all, "+75 %"
      # added.
      class FullnessKind < Value.define
        include Kind

        RATIO = NumberKind.between(over: 0, most: 100)
        PERCENT = NumberKind.between(over: 0, most: 10_000)
        ADDED = NumberKind.between(over: -100, most: 10_000)
        WRITINGS = {"ratio" => RATIO, "percent_total" => PERCENT, "percent_added" => ADDED}.freeze
        PERCENTAGE = /\A(?<added>\+)?\s*(?<number>[\d.,]+)\s*(?:%|per\s?cent)\z/i
        TIMES = /\A[x×]?\s*(?<ratio>.+?)\s*(?:[x×]|times|:\s*1|to\s+1)?\z/i
        # Nobody makes a curtain fuller.
        FULLEST = 10

        def read(raw, unit, problems)
          return ratio(raw, unit, problems) unless raw.is_a?(Hash)

          writing = raw.keys & WRITINGS.keys
          return problems.add(:not_fullness) unless writing.size == 1

          number = WRITINGS[writing.first].read(raw[writing.first], unit, problems.within(writing.first))
          number && Fullness.public_send(writing.first, number)
        end

        def show(kept, _unit)
          return kept.to_s unless kept.is_a?(Hash)
          return "+#{kept["percent_added"]} %" if kept.key?("percent_added")

          "#{kept["percent_total"] || kept["ratio"]}#{" %" if kept.key?("percent_total")}"
        end

        def take(typed, _unit)
          match = PERCENTAGE.match(typed) or return Written.number(TIMES.match(typed)&.[](:ratio) || typed)

          {match[:added] ? "percent_added" : "percent_total" => match[:number]}
        end

        def keep(raw, unit) = each_writing(raw) { |number| RATIO.keep(number, unit) }

        def write(kept) = each_writing(kept) { |number| RATIO.write(number) }

        # A percentage in all that would leave the curtain narrower than it hangs, or a bare number that is a
        # percentage without its sign. Makers mean either.
        #
        #   FieldKinds::FullnessKind.new.doubt("50", Units::CM).first # => :so_many_times
        def doubt(kept, _unit)
          number = Exact.read(kept.is_a?(Hash) ? kept["percent_total"] : kept)
          return unless number&.positive?
          return (of_percentage(number) if number < 100) if kept.is_a?(Hash)
          return [:under_one, {ratio: number}] if number < 1

          of_many(number) if number > FULLEST
        end

        def schema
          written = WRITINGS.map do |key, kind|
            {"type" => "object", "properties" => {key => kind.schema}, "required" => [key]}
          end
          {"anyOf" => [RATIO.schema, *written]}
        end

        private

        def ratio(raw, unit, problems) = (number = RATIO.read(raw, unit, problems)) && Fullness.ratio(number)

        def each_writing(kept, &write) = kept.is_a?(Hash) ? kept.transform_values(&write) : write.call(kept)

        def of_percentage(percent) =
          [:added_or_in_all, {percent: percent, added: 1 + percent / 100, offer: added(percent)}]

        def of_many(ratio)
          return [:so_many_times, {ratio: ratio, added: 1 + ratio / 100, offer: added(ratio)}] if ratio < 100

          [:in_all_or_times, {ratio: ratio, total: ratio / 100, offer: {"percent_total" => RATIO.kept_of(ratio)}}]
        end

        def added(percent) = {"percent_added" => RATIO.kept_of(percent)}
      end
    end
  end
end
