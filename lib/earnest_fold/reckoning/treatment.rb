# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # One set of curtains at a window, as asked for. `face` is a {Cloth}; `lining` and `interlining` are nil where there is none.
    class Treatment < Value.define(:id, :name, :support, :opening, :return_left, :return_right, :overlap, :ease, :drop, :heading, :making,
      :face, :run, :pattern, :lining, :interlining)
      # The heading is read apart, by the fields of its kind.
      FIELDS = Fields.new(
        id: Declare.id, name: Declare.text,
        support: Declare.record(Support::FIELDS) { |values, _| Support.new(**values) },
        opening: Declare.record(Opening::FIELDS) { |values, problems| Opening.build(values, problems) },
        return_left: Declare.length(Length::ZERO), return_right: Declare.length(Length::ZERO),
        overlap: Declare.length(Length::ZERO), ease: Declare.length(Length::ZERO),
        drop: Declare.record(Drop::FIELDS) { |values, _| Drop.new(**values) },
        heading: [HeadingField.new, Declare::REQUIRED],
        making: Declare.record(Making::FIELDS) { |values, _| Making.new(**values) },
        face: Declare.id, run: Declare.choice(RUNS, "up_the_drop"),
        pattern: Declare.record(Pattern::FIELDS, Pattern::FREE) { |values, _| Pattern.new(**values) },
        lining: Declare.record(Lining::FIELDS, nil) { |values, _| Lining.new(**values) },
        interlining: Declare.record(Interlining::FIELDS, nil) { |values, _| Interlining.new(**values) }
      )

      # @return [Array<Span>]
      def spans = opening.spans(support, Ends.new(return_left: return_left, return_right: return_right, overlap: overlap, ease: ease))

      # @return [Boolean] whether the face runs along the track instead of down
      def sideways? = run == "railroad"

      # @return [Widths] what widths of the face give
      def width_rule = Widths.new(cloth: face, seam: making.seam, side: making.side.taken)

      # @return [DropCut] of the face
      def drop_cut
        DropCut.new(cloth: face, finished: drop.finished, top: heading.top_allowance(support), hem: making.hem.taken, squaring: making.squaring,
          sideways: sideways?)
      end

      # @return [Array<Cloth>] without nils
      def cloths = [face, lining&.cloth, interlining&.cloth].compact

      # @return [TreatmentReckoning]
      # @raise [Invalid] where it can't be reckoned
      def reckon
        problems = Problems.new
        Refusals.check(self, problems)
        problems.raise_any
        TreatmentReckoning.new(self)
      end
    end
  end
end
