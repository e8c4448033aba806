# frozen_string_literal: true

module EarnestFold
  module Words
    # How near a figure is to another answer, as a maker would say it.
    module Nearness
      R = Reckoning
      # What is told of another answer, the first that changes: how much cloth or hardware it means.
      PARTS = %i[widths inner_widths repeats counts].freeze

      module_function

      # @param near [Reckoning::Nearness::Near]
      # @return [String] the figure as it stands
      #
      #   Words::Nearness.at(Nearness.of(treatment, Units::CM).first, Units::CM) # => "213.8"
      def at(near, unit) = amount(near, near.at, unit)

      # @param near [Reckoning::Nearness::Near]
      # @param side [Symbol] :below or :above
      # @return [Array<String>] how far it stays, what comes then, and what that takes more or less; that nothing is
      #   near where nothing is
      def side(near, side, now, unit)
        edge = near.public_send(side)
        return ["", Words.say("near.none_#{side}"), ""] unless edge
        return ["", Words.say("near.refused", beyond: amount(near, edge.beyond, unit)), ""] unless edge.outcome

        [
          Words.say("near.#{side}", apart: amount(near, edge.apart, unit)),
          Words.say("near.then", beyond: amount(near, edge.beyond, unit), what: what(edge.outcome, now)),
          saves(edge.outcome, now)
        ]
      end

      # @param outcome [Reckoning::Nearness::Outcome]
      # @return [String] what is other
      def what(outcome, now)
        part = PARTS.find { |one| outcome.counted[one] != now.counted[one] } or return Words.say("near.lengths")
        then_, was = [outcome, now].map { |one| counted(one, part) }
        number = Words.number(then_, 1)
        Words.say("near.#{part}", then: number, was: Words.number(was, 1), things: things(now, number))
      end

      # @return [String] what cloth and money it takes more or less; empty where neither
      def saves(outcome, now)
        length, cost = outcome.more(now, :lengths), outcome.cost && now.cost && (outcome.cost - now.cost)
        return "" if length.zero?

        way = Words.say("near.#{length.negative? ? "less" : "more"}")
        told = Words.bought(length.abs, now.reckoning.treatment.face.sold_by)
        amounts = [told, *(cost && Words.money(cost.abs))].join(", ")
        "#{amounts} #{way}"
      end

      # @param number [Rational] millimetres, or a ratio
      # @return [String]
      def amount(near, number, unit) =
        near.figure.fullness? ? Words.number(number) : Words.length(R::Length.mm(number), unit)

      # @param outcome [Nearness::Outcome]
      # @param part [Symbol] what is counted
      # @return [Rational, Integer]
      def counted(outcome, part) =
        (part == :widths) ? outcome.reckoning.curtains.sum(&:widths) : outcome.summed(part)

      # What its heading counts.
      def things(now, number)
        kind = now.counted[:counts].values.first.keys.first
        kind ? Words.say("near.things.#{kind}", count: number) : ""
      end
    end
  end
end
