# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # Pronged hooks that draw a pocketed tape into pleats. `skips` are the pockets between a hook's prongs; `edge` is
    # the least count of flat pockets at each edge.
    class PleaterHook < Value.define(
      :fullness,
      :pocket_pitch,
      :skips,
      :edge,
      :top_turn,
      :end_hooks,
      *Taped::FIELDS.names,
      *Frilled::FIELDS.names,
      *HookRows::FIELDS.names
    )
      include Heading
      include Taped
      include Frilled
      include HookRows

      KIND = "pleater_hook"
      FIELDS = Fields.new(
        fullness: Declare.fullness,
        pocket_pitch: Declare.pitch,
        skips: [FieldKinds::CountListKind.new, Declare::REQUIRED],
        edge: Declare.count(least: 0, most: 1000),
        top_turn: Declare.length(Length::ZERO),
        end_hooks: Declare.flag(false),
        **Taped::FIELDS.declared,
        **Frilled::FIELDS.declared,
        **HookRows::FIELDS.declared
      )
      EXAMPLE = {
        "kind" => KIND,
        "fullness" => "2.2",
        "pocket_pitch" => "1.8 cm",
        "skips" => [3, 3, 3],
        "edge" => 3,
        "top_turn" => "2 cm"
      }.freeze

      def self.tape = "pocketed"

      def made_by = super.merge(heading: put_on + %w[put_in_hooks])

      def hooked_as = :pronged

      def pockets_of(figures) = ProngedPockets.of(skips, figures)

      def figures(task, _support)
        pockets = pockets(task)
        hooks = hooks(pockets, task.span)
        {
          pockets: pockets,
          hooks: hooks,
          **(end_hooks ? {end_hooks: 2} : {}),
          **placing(pockets, hooks),
          heading_width: pocket_pitch * (pockets - hooks * taken),
          tape_length: tape_length(task)
        }
      end

      def dictated(figures) = figures.slice(:hooks)

      def counted_from(task, _figures)
        pockets = task.flat / pocket_pitch
        [[wished(pockets, task.span) + 1/2r, with_gaps(pockets)].min]
      end

      # More pockets never take fewer hooks, and a wider curtain never more.
      #
      #   task = headed("pleater_hook").curtains.first.task
      #   headed("pleater_hook").heading.dictates_alike?(task, task, nil) # => true
      def dictates_alike?(from, to, _figures)
        pockets = [from, to].map { |task| pockets(task) }
        spans = [from, to].map(&:span).sort_by { |span| span.finished_width.mm }
        hooks(pockets.min, spans.last) == hooks(pockets.max, spans.first)
      end

      def carriers(figures) = figures[:hooks]

      def folds_dictated? = true

      def fingers = skips.size

      def drawn_up(figures) = figures[:heading_width]

      def pleated? = true

      def folds(_task, figures) = figures[:hooks]

      # Each skip between prongs makes one finger of the pleat, folded in two.
      #
      #   made = headed("pleater_hook").reckon.curtains.first
      #   headed("pleater_hook").heading.fold_depth(made.task, made.heading) # => 27 mm
      def fold_depth(_task, _figures) = (pocket_pitch * taken / (2 * skips.size)).ceil_to(Length.mm(1))

      # Each hook's first and last prong, by pocket.
      #
      #   made = headed("pleater_hook").reckon.curtains.first
      #   headed("pleater_hook").heading.marks(made.task, made.heading).first.kind # => :pleat
      def marks(_task, figures)
        Array.new(figures[:hooks]) do |index|
          pocket = figures[:edge_lead] + index * (taken + figures[:gap].to_i)
          Mark.new(kind: :pleat, along: :flat, at: pocket_pitch * pocket, to: pocket_pitch * (pocket + taken))
        end
      end

      def working(task, figures)
        [
          Line.of(:pockets, figures[:pockets], [task.flat, "÷", pocket_pitch, "↓"]),
          Line.of(
            :pleater_hooks,
            figures[:hooks],
            ["(", figures[:pockets], "−", task.span.finished_width, "÷", pocket_pitch, ")", "÷", taken, "↕"]
          ),
          Line.of(
            :heading_width,
            figures[:heading_width],
            ["(", figures[:pockets], "−", figures[:hooks], "×", taken, ")", "×", pocket_pitch]
          ),
          tape_line(task)
        ]
      end

      # One hook less and more, by the width of the heading each gives.
      #
      #   hooked = headed("pleater_hook").curtains.first
      #   headed("pleater_hook").heading.near_counts(hooked.task, hooked.heading).map(&:count) # => [9, 10, 11]
      def near_counts(task, figures)
        [-1, 0, 1].map { |apart| figures[:hooks] + apart }
          .select { |hooks| hooks.positive? && figures[:pockets] > hooks * taken }
          .map do |hooks|
            width = pocket_pitch * (figures[:pockets] - hooks * taken)
            NearCount.new(
              count: hooks,
              chosen: hooks == figures[:hooks],
              flat: task.flat,
              fullness: task.flat / width,
              detail: {heading_width: width, **placing(figures[:pockets], hooks)}
            )
          end
      end

      private

      # Pockets that one hook takes up (u).
      def taken = skips.sum

      def pockets(task) = (task.flat / pocket_pitch).floor

      # The count that comes nearest the width, less where the gaps would vanish.
      def hooks(pockets, span)
        most = [Counting.nearest(wished(pockets, span)), with_gaps(pockets).floor].min
        [most, 1].max
      end

      def with_gaps(pockets) = Rational(pockets - 2 * edge + 1, taken + 1)

      def wished(pockets, span) = (pockets - span.finished_width / pocket_pitch) / taken

      def placing(pockets, hooks) = ProngedPockets.placing(pockets, hooks, taken, edge)
    end

    Headings.register(PleaterHook::KIND, PleaterHook)
  end
end
