# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # The lines that made a treatment's figures, in the order a maker would write them: across, then down, then the
    # lining.
    class TreatmentWorking
      # @param reckoning [TreatmentReckoning]
      def initialize(reckoning)
        @reckoning = reckoning
        @treatment = reckoning.treatment
        @rule = @treatment.width_rule
      end

      # @return [Array<Line>]
      #
      #   TreatmentWorking.new(reckoning).lines.first.name # => :finished_width
      def lines
        alike = groups
        named = alike.size > 1
        along = alike.flat_map do |curtains|
          named ? across(curtains.first).map { |line| of_hands(line, curtains) } : across(curtains.first)
        end
        along + down + lining + interlining
      end

      private

      # Curtains that came out alike are written once.
      def groups
        @reckoning
          .curtains
          .group_by do |curtain|
            [curtain.finished_width.mm, curtain.flat_width.mm, curtain.span.return_flat.mm, curtain.span.lead_flat.mm]
          end
          .values
      end

      def of_hands(line, curtains) = line.with(data: line.data.merge(hands: curtains.map(&:hand)))

      def across(curtain)
        heading = @treatment.heading
        [
          width_line(curtain),
          Line.of(:flat_needed, curtain.flat_needed, heading.needed_expression(curtain.span)),
          *cloth_lines(curtain),
          Line.of(:fullness_made, curtain.fullness, heading.made_expression(curtain.task)),
          *heading.working(curtain.task, curtain.heading)
        ]
      end

      def width_line(curtain)
        name = @treatment.ordered.finished_width ? :ordered_width : :finished_width
        Line.of(name, curtain.finished_width, curtain.span.expression)
      end

      def cloth_lines(curtain)
        turned = @treatment.making.side.taken
        cut = Line.of(:cut_width, curtain.cut_width, [curtain.flat_width, "+", 2, "×", turned])
        return [cut] if @treatment.sideways?

        [
          Line.of(
            :one_width,
            @rule.single,
            [@rule.cloth.width, "−", 2, "×", "(", @rule.cloth.selvedge, "+", turned, ")"]
          ),
          *each_more(curtain),
          Line.of(:widths, curtain.flat_width, widths_expression(curtain), count: curtain.widths),
          cut
        ]
      end

      def each_more(curtain)
        return [] if curtain.widths <= 1

        repeats = @rule.repeats_across
        whole = repeats.positive? ? ["→", repeats, "×", @rule.cloth.horizontal_repeat] : []
        [Line.of(:each_more, @rule.each_more, [@rule.cloth.width, "−", 2, "×", @rule.joined_edge, *whole])]
      end

      def widths_expression(curtain)
        whole = curtain.widths.floor
        made = @rule.flat(curtain.widths)
        return [made, "→", curtain.flat_width] unless made == curtain.flat_width
        if curtain.widths == whole
          return (whole == 1) ? [@rule.single] : [@rule.single, "+", whole - 1, "×", @rule.each_more]
        end

        whole.zero? ? [@rule.half_more] : [@rule.half_more, "+", whole, "×", @rule.each_more]
      end

      def down
        cut = @reckoning.drop_cut
        [
          *drop_lines(@treatment.drop, cut.finished),
          hem_line(:hem, @treatment.making.hem),
          top_line(cut),
          squaring_line,
          Line.of(:cut_drop, cut.cut_drop, cut_expression(cut)),
          *repeat_lines(cut)
        ].compact
      end

      def drop_lines(drop, finished)
        return [Line.of(:ordered_drop, finished)] if @treatment.ordered.finished_drop

        made = [drop.shortest, *signed(drop.stand_up), *signed(drop.offset)]
        [*point_lines(drop), Line.of(:finished_drop, finished, made)]
      end

      # Which points the length was measured between, where they were named.
      def point_lines(drop)
        from = Line.of(:"stand_up_#{drop.measured_from}", drop.stand_up, drop.stand_up_expression) if drop.measured_from
        to = Line.of(:"offset_#{drop.measured_to}", drop.offset) if drop.measured_to
        [from, to].compact
      end

      def signed(length)
        return [] if length.zero?

        [length.negative? ? "−" : "+", length.abs]
      end

      def hem_line(name, hem)
        return if hem.taken.zero?

        Line.of(
          name,
          hem.taken,
          (hem.kind == "double") ? [2, "×", hem.depth] : [hem.depth, "+", hem.turn_under],
          kind: hem.kind,
          depth: hem.depth
        )
      end

      def top_line(cut) = cut.top.zero? ? nil : Line.of(:top_allowance, cut.top)

      def squaring_line = @treatment.making.squaring.zero? ? nil : Line.of(:squaring, @treatment.making.squaring)

      def cut_expression(cut)
        parts =
          [cut.finished, cut.top, cut.hem, cut.squaring].reject(&:zero?).flat_map { |length| ["+", length] }.drop(1)
        (cut.shrinking == 1) ? parts : ["(", *parts, ")", "÷", cut.shrinking]
      end

      def repeat_lines(cut)
        return [] unless cut.cloth.repeats? && !cut.sideways

        repeat = cut.cloth.vertical_repeat
        length = Line.of(:cut_length, cut.cut_length, [(cut.cut_length / repeat).to_i, "×", repeat])
        return [length] if @treatment.pattern.place == "free"

        [length, Line.of(:pattern_start, @reckoning.pattern_start, start_expression(cut))]
      end

      def start_expression(cut)
        fold = (@treatment.pattern.place == "top") ? cut.top_fold : cut.hem_fold
        point, repeat = @treatment.pattern.point, cut.cloth.vertical_repeat
        repeats = ((@reckoning.pattern_start - point + fold) / repeat).to_i
        [point, "−", fold, repeats.negative? ? "−" : "+", repeats.abs, "×", repeat]
      end

      def lining
        made = @reckoning.lining or return []
        cut = made.drop_cut
        [
          Line.of(:lining_drop, cut.finished, [@reckoning.finished_drop, *signed(-made.lining.lift)]),
          hem_line(:lining_hem, made.lining.hem),
          Line.of(:lining_cut_drop, cut.cut_drop, cut_expression(cut)),
          Line.of(:lining_widths, made.widths_total, summed(made))
        ].compact
      end

      def interlining
        made = @reckoning.interlining or return []
        [
          Line.of(:interlining_cut_drop, made.drop_cut.cut_drop, cut_expression(made.drop_cut)),
          Line.of(:interlining_widths, made.widths_total, summed(made))
        ]
      end

      # Where a half is left over, a whole width is cut for it.
      def summed(made)
        sum = made.counts.flat_map { |count| ["+", count] }.drop(1)
        (made.counts.sum == made.widths_total) ? sum : [*sum, "→", made.widths_total]
      end
    end
  end
end
