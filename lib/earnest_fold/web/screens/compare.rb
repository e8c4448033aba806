# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # Everything a treatment could be instead, side by side: other counts, the cloth run the other way, other
      # headings.
      class Compare < Cloth
        # One alternative and what a click sends for it.
        Alternative = R::Value.define(:choice, :words, :path, :value)

        def view = :_compare

        def page_title = Words.say("compare.title", title: entry.title)

        # @return [Array<Array(Symbol, Array<Alternative>)>] by kind, without kinds that offer nothing
        def kinds
          return [] unless reckoning

          R::Choices
            .all(reckoning, figures: ->(kind) { rules.heading(kind.kind, unit) })
            .map { |choice| line(choice) }
            .group_by { |line| line.choice.kind }
            .to_a
        end

        # @yieldreturn [String] the tables
        def shown(&block) = Fragments.of(self, :compare, &block)

        # Only what can be taken instead: what there is to say stands with the cloth.
        def remarks = []

        def answers = []

        # @return [String, nil] what a count makes of the heading, in few words
        def detail(choice)
          return unless choice.kind == :count

          figures = choice.reckoning.curtains.first.heading.compact.slice(
            :space,
            :take_up,
            :hooks,
            :eyelets,
            :gliders,
            :carriers
          )
          figures
            .first(2)
            .map { |name, value| "#{Words.say("figures.#{name}")} #{Words.figure(value, unit)}" }
            .join(", ")
        end

        # @return [Array<String>] what stands in the way of a choice, in few words
        def stops(choice) = choice.reckoning.checks.select(&:stop?).map { |check| Words.check(check, unit) }

        # @return [String, nil] dearer or cheaper than as it is
        def difference(choice)
          now = R::ClothReckoning.of(reckoning.treatment.face, [reckoning]).cost
          return if choice.chosen? || now.nil? || choice.cost.nil?
          return Words.say("compare.same") if choice.cost == now

          apart = choice.cost - now
          "#{"+" if apart.positive?}#{"−" if apart.negative?}#{Words.money(apart.abs)}"
        end

        private

        # The set that a new heading would start from.
        def rules = sheet.rule_set(entry) || sheet.settled.first_set

        def line(choice)
          path, value, words = clicked(choice)
          Alternative.new(choice: choice, words: words, path: path, value: value)
        end

        # @return [Array(String, String, String)] the field, what a click puts into it, and what it is called
        def clicked(choice)
          case choice.kind
          when :widths then ["making.widths", Words.number(choice.name, 1), some_widths(choice)]
          when :sideways then ["run", choice.name, Words.say("runs.#{choice.name}")]
          when :heading then ["heading.kind", choice.name, Words.say("headings.#{choice.name}")]
          else count_line(choice)
          end
        end

        def some_widths(choice) = Words.say("compare.some_widths", widths: Words.widths(choice.name))

        # Pleats are asked for by their count; a tape's count by the fullness that gives it.
        def count_line(choice)
          words = "#{choice.name} #{Words.say("counts.#{reckoning.treatment.heading.kind}")}"
          field = reckoning.treatment.heading.count_field
          return ["heading.#{field}", choice.name.to_s, words] if field

          ["heading.fullness", Words.number(choice.reckoning.treatment.heading.asked, 4), words]
        end
      end
    end
  end
end
