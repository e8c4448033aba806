# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # A treatment as it is or as it could be, fully reckoned. `kind` says in what it differs (:widths, :count,
    # :sideways, :heading), `name` how: the widths, the count, nil, the heading's kind. `length` is the face cloth it
    # takes, ordered alone.
    Choice = Value.define(:kind, :name, :chosen, :reckoning, :length, :cost) do
      # @return [Boolean] whether it is what was asked for
      #
      #   Choices.of(reckoning).count(&:chosen?) # => 1
      def chosen? = chosen

      # @return [Rational] the thinnest curtain's
      #
      #   Choices.of(reckoning).first.fullness # => (32/25)
      def fullness = reckoning.curtains.map(&:fullness).min

      # @return [Symbol] how its face cloth is sold
      #
      #   Choices.of(reckoning).first.sold_by # => :metre
      def sold_by = reckoning.treatment.face.sold_by

      # @return [Rational] widths of the widest curtain
      #
      #   Choices.of(reckoning).first.widths # => (1/1)
      def widths = reckoning.curtains.map(&:widths).max
    end

    # The near alternatives of a treatment, each fully reckoned: "always show the choice beside it" in the rules. What
    # can't be reckoned is no alternative and is left out.
    module Choices
      NEAR = [-1, -1/2r, 0, 1/2r, 1].freeze

      module_function

      # What a kind of heading starts from, where a house has said nothing else: its example.
      EXAMPLES = ->(kind) { kind.example }

      # @param reckoning [TreatmentReckoning]
      # @param figures [#call] gives the plain values that a heading of a kind starts from
      # @return [Array<Choice>] all of them
      #
      #   Choices.all(reckoning).map(&:kind).uniq # => [:widths, :sideways, :heading]
      def all(reckoning, figures: EXAMPLES) =
        of(reckoning) + counts(reckoning) + sideways(reckoning) + headings(reckoning, figures)

      # Half a width and a width less and more.
      # @return [Array<Choice>] the fewest first; none where the cloth runs sideways
      #
      #   Choices.of(reckoning).map(&:name) # => [(1/1), (3/2), (2/1), (5/2), (3/1)]
      def of(reckoning)
        return [] if reckoning.treatment.sideways?

        chosen = reckoning.curtains.map(&:widths).max
        NEAR.filter_map do |apart|
          next choice(:widths, chosen, reckoning, chosen: true) if apart.zero?

          if (chosen + apart).positive?
            varied(:widths, chosen + apart, with_widths(reckoning.treatment, chosen + apart))
          end
        end
      end

      # The counts that a tape or pleats allow, by the first curtain.
      #
      #   Choices.counts(lined.reckon).map(&:name) # => [8, 9, 10, 11, 12]
      def counts(reckoning)
        treatment, first = reckoning.treatment, reckoning.curtains.first
        treatment.heading.near_counts(first.task, first.heading).filter_map do |near|
          next choice(:count, near.count, reckoning, chosen: true) if near.chosen

          heading = treatment.heading.with_count(near.count, first.span)
          heading && varied(:count, near.count, treatment.with(heading: heading))
        end
      end

      # The cloth run the other way: along the track, or down.
      #
      #   Choices.sideways(reckoning).map(&:name) # => ["railroad"]
      def sideways(reckoning)
        other = reckoning.treatment.sideways? ? "up_the_drop" : "railroad"
        [varied(:sideways, other, reckoning.treatment.with(run: other))].compact
      end

      # The other headings with the same cloth and, where both have one, the same fullness.
      #
      #   Choices.headings(reckoning).map(&:name).first(2) # => ["buckram_panel", "clip_ring"]
      def headings(reckoning, figures = EXAMPLES)
        Headings.reject { |kind| kind == reckoning.treatment.heading.class }.filter_map do |kind|
          heading = like(kind, reckoning.treatment.heading, figures)
          heading && varied(:heading, kind.kind, reckoning.treatment.with(heading: heading))
        end
      end

      def like(kind, heading, figures)
        problems = Problems.new
        values = kind.fields.read(figures.call(kind), Units::MM, problems)
        values[:fullness] = heading.fullness if values&.key?(:fullness) && heading.respond_to?(:fullness)
        values && kind.build(values, problems)
      end
      private_class_method :like

      def with_widths(treatment, widths) = treatment.with(making: treatment.making.with(widths: widths))
      private_class_method :with_widths

      def varied(kind, name, treatment)
        problems = Problems.new
        Refusals.check(treatment, problems)
        return if problems.any?

        made = TreatmentReckoning.new(treatment)
        choice(kind, name, made, chosen: false) unless kind == :widths && tape_too_wide?(made)
      end
      private_class_method :varied

      # Widths that the tape stops at are none to choose.
      #
      #   Choices.tape_too_wide?(reckoning) # => false
      def tape_too_wide?(made) = made.checks.any? { |check| check.code == "widths_short" }

      # @param kind [Symbol] in what it differs
      # @param name [Object] how
      # @param reckoning [TreatmentReckoning]
      # @return [Choice] with its cloth ordered alone
      #
      #   Choices.choice(:hem, "double", reckoning, chosen: true).length # => 10400 mm
      def choice(kind, name, reckoning, chosen:)
        made = ClothReckoning.of(reckoning.treatment.face, [reckoning])
        Choice.new(
          kind: kind,
          name: name,
          chosen: chosen,
          reckoning: reckoning,
          length: made.length_to_order,
          cost: made.cost
        )
      end
    end
  end
end
