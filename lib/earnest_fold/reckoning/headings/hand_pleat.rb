# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # Pleats folded and sewn by hand over buckram, with equal spaces between.
    class HandPleat < Value.define(
      :style,
      :fullness,
      :buckram,
      :buckram_folds,
      :pin_setting,
      :edge_flat,
      :pleats,
      :pleats_per_width,
      :space,
      :take_up,
      :hide_seams,
      :tolerance
    )
      include Heading
      include FlatEnds

      KIND = "hand_pleat"
      STYLES = %w[double triple goblet cartridge box].freeze
      # How many layers of its take-up a pleat's depth is made of; a box lies flat, a goblet and a cartridge are round.
      LAYERS = {"double" => 4, "triple" => 6, "goblet" => 3, "cartridge" => 3, "box" => 12}.freeze
      RANGE = Declare.record(Range3::FIELDS) { |values, _| Range3.new(**values) }
      FIELDS = Fields.new(
        style: Declare.choice(STYLES, said: "styles"),
        fullness: Declare.fullness,
        buckram: Declare.length,
        buckram_folds: Declare.count(2, least: 0, most: 4),
        pin_setting: Declare.length(Length::ZERO, least: :any),
        edge_flat: Declare.length(Length::ZERO),
        pleats: Declare.count(nil, least: 2, most: MOST_PLEATS),
        pleats_per_width: Declare.count(nil, least: 1, most: 100),
        space: RANGE,
        take_up: RANGE,
        hide_seams: Declare.flag(false),
        tolerance: Declare.length(Length.mm(15))
      )
      EXAMPLE = {
        "kind" => KIND,
        "style" => "triple",
        "fullness" => "2.3",
        "buckram" => "12.5 cm",
        "space" => {"min" => "9 cm", "target" => "10.5 cm", "max" => "12 cm"},
        "take_up" => {"min" => "11 cm", "target" => "14 cm", "max" => "17 cm"}
      }.freeze

      def top_allowance(_support) = buckram * buckram_folds

      # Its own pin setting speaks before the house's.
      #
      #   lined.heading.rise(lined.drop.points, lined.support) # => 0 mm
      def rise(points, _support) = pin_setting.zero? ? points.hook_drop : pin_setting

      # Where no return or overlap turns, a little still lies flat before the first and after the last pleat.
      #
      #   lined.heading.return_flat(lined.spans.first) # => 60 mm
      def return_flat(span) = span.return_flat.zero? ? edge_flat : span.return_flat

      def lead_flat(span) = span.lead_flat.zero? ? edge_flat : span.lead_flat

      def made_by = super.merge(top: %w[put_in_buckram turn_top], heading: %w[mark_pleats sew_pleats put_in_hooks])

      # Buckram that is rolled in folds at its depth, and again at twice that.
      #
      #   lined.heading.top_lines(lined.support) # => [125 mm, 250 mm]
      def top_lines(_support) = Array.new(buckram_folds) { |index| buckram * (index + 1) }

      def hooked_as = :pinned

      def figures(task, _support)
        count = pleatable?(task) ? (pleats || in_widths(task) || best(task).count) : 0
        {
          pleats: count,
          **gaps(task, count),
          buckram_length: task.flat,
          hooks: count + [return_flat(task.span), lead_flat(task.span)].count(&:positive?)
        }
      end

      def dictated(figures) = figures.slice(:pleats)

      def counted_from(task, figures)
        (pleats || in_widths(task) || figures[:pleats].zero?) ? [] : best(task).counted_from(figures[:pleats])
      end

      # A count that was given stays, and so does one for each width.
      #
      #   pleated = lined.curtains.first
      #   lined.heading.dictates_alike?(pleated.task, pleated.task, pleated.heading) # => true
      def dictates_alike?(from, to, figures) =
        !pleats.nil? || !in_widths(from).nil? || figures[:pleats].zero? ||
          best(from).holds_up_to?(best(to), figures[:pleats])

      def carriers(figures) = figures[:hooks]

      # The parts of the flat heading, from the leading edge; they add up to the flat width.
      #
      #   made = lined.reckon.curtains.first
      #   lined.heading.marks(made.task, made.heading).size # => 21
      def marks(task, figures)
        lengths = parts(task, figures)
        running = lengths.each_with_object([Length::ZERO]) { |(_, length), sums| sums << sums.last + length }
        lengths.each_with_index.filter_map do |(kind, length), index|
          Mark.new(kind: kind, along: :flat, at: running[index], to: running[index + 1]) unless length.zero?
        end
      end

      def seam_marks(task, figures)
        return [] if task.seams.empty?

        ends = running_ends(parts(task, figures))
        task.seams.map do |seam|
          kind, = ends.find { |_, to| seam.mm <= to } || ends.last
          Mark.new(kind: kind, along: :flat, at: seam, to: nil)
        end
      end

      # The counts near the one used: two below and two above.
      #
      #   made = lined.reckon.curtains.first
      #   lined.heading.near_counts(made.task, made.heading).map(&:count) # => [8, 9, 10, 11, 12]
      def near_counts(task, figures)
        return [] if figures[:pleats].zero?

        ((figures[:pleats] - 2)..(figures[:pleats] + 2))
          .select { |count| count >= BestPleats::LEAST }
          .map do |count|
            gaps = gaps(task, count)
            NearCount.new(
              count: count,
              chosen: count == figures[:pleats],
              flat: task.flat,
              fullness: made_fullness(task),
              detail: {**gaps, fits: space.include?(gaps[:space]) && take_up.include?(gaps[:take_up])}
            )
          end
      end

      def with_count(count, _span) = with(pleats: count)

      def count_field = :pleats

      def thin_below = 2r

      def fused? = true

      def fold_style = style

      def out_of_range(figures)
        return if figures[:pleats].zero?
        return if space.include?(figures[:space]) && take_up.include?(figures[:take_up])

        figures.slice(:pleats, :space, :take_up)
      end

      def pleated? = true

      def folds(_task, figures) = [figures[:pleats], 1].max

      # A pleat stands forward by its share of the take-up: one fold of it, as its style lays them.
      #
      #   made = lined.reckon.curtains.first
      #   lined.heading.fold_depth(made.task, made.heading) # => 28 mm
      def fold_depth(_task, figures) = (figures[:take_up] / LAYERS.fetch(style)).ceil_to(Length.mm(1))

      # @param task [HeadingTask]
      # @return [BestPleats] to compare counts with
      #
      #   lined.heading.best(lined.reckon.curtains.first.task).count # => 10
      def best(task) =
        BestPleats.new(
          between: between(task.span),
          extra: task.flat - task.span.finished_width,
          space: space,
          take_up: take_up
        )

      def pleatable?(task) = task.flat > task.span.finished_width && between(task.span).positive?

      def working(task, figures)
        return [] if figures[:pleats].zero?

        [
          Line.of(:pleats, figures[:pleats]),
          Line.of(
            :space,
            figures[:space],
            ["(", task.span.finished_width, *minus_ends(task.span), ")", "÷", figures[:pleats] - 1]
          ),
          Line.of(
            :take_up,
            figures[:take_up],
            ["(", task.flat, "−", task.span.finished_width, ")", "÷", figures[:pleats]]
          ),
          Line.of(:hooks, figures[:hooks], [figures[:pleats], "+", figures[:hooks] - figures[:pleats]])
        ]
      end

      private

      def running_ends(parts)
        at = 0r
        parts.map { |kind, length| [kind, at += length.mm] }
      end

      # A school: the same count in each width, so that a patterned cloth pleats on the same motif every time; a half
      # width has half of them.
      def in_widths(task)
        return unless pleats_per_width && task.widths.positive?

        [(task.widths * pleats_per_width).floor, BestPleats::LEAST].max
      end

      def gaps(task, count)
        return {space: Length::ZERO, take_up: Length::ZERO} if count.zero?

        {space: between(task.span) / (count - 1), take_up: (task.flat - task.span.finished_width) / count}
      end

      def parts(task, figures)
        lead, turn = lead_flat(task.span), return_flat(task.span)
        return [[:space, task.flat]] if figures[:pleats].zero?

        folds = take_ups(task, figures).map { |length| [:pleat, length] }
        spaces = Array.new(figures[:pleats] - 1) { [:space, figures[:space]] }
        [[:overlap, lead], *folds.zip(spaces).flatten(1).compact, [:return, turn]]
      end

      def take_ups(task, figures)
        return Array.new(figures[:pleats]) { figures[:take_up] } unless hide_seams && task.seams.any?

        HiddenSeams.new(
          pleats: figures[:pleats],
          take_up: figures[:take_up],
          space: figures[:space],
          lead: lead_flat(task.span),
          tolerance: tolerance
        ).take_ups(task.seams)
      end
    end

    Headings.register(HandPleat::KIND, HandPleat)
  end
end
