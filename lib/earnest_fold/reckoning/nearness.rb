# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # How near a treatment is to another answer: for each figure that was measured or chosen, how far it can move down
    # and up before widths, repeats, a count that a tape or pleats dictate, or the length to order change, and what that
    # costs or saves. Found by the rules themselves, in steps of the job's tape: the last step at which all is as it is,
    # and the next, at which it isn't. Between two steps that are decided alike nothing can change, as every amount then
    # runs one way ({Outcome#decided}), so that no nearer edge is passed over.
    module Nearness
      # The last step that gives the same answer and the first that doesn't (in the figure's own measure), how far that
      # is from the figure, and what comes there: nil where it can't be reckoned.
      Edge = Value.define(:last, :beyond, :apart, :outcome)
      # One figure with the edges below and above it; nil where there is none within reach.
      Near = Value.define(:figure, :at, :below, :above) do
        # @return [Array<Edge>] those there are
        #
        #   Nearness.of(treatment, Units::CM).first.edges.size # => 2
        def edges = [below, above].compact
      end

      MEASURED = %w[
        support.length opening.cover return_left return_right drop.readings ordered.finished_width ordered.finished_drop
      ].freeze
      CHOSEN = %w[
        overlap ease drop.stand_up drop.offset making.hem.depth making.side.depth making.seam making.squaring face.width
        lining.lift lining.inset lining.side_turn lining.top lining.hem.depth
      ].freeze
      # What a heading has of its own that runs one way, where it has it.
      OF_HEADING = %w[
        heading.fullness heading.top_turn heading.buckram heading.frill heading.pocket heading.glider_spacing
        heading.hook_pitch heading.pitch heading.tape_pitch heading.eyelet_spacing
      ].freeze
      PERCENT = 1/100r
      # How it is looked: whether another length to order is another answer too, and how far, as a share of the figure;
      # ten centimetres at least, and a fullness by a half.
      Look = Value.define(:ordered, :share)
      WHOLE = Look.new(ordered: true, share: 1/4r)
      # Widths, repeats and counts alone.
      COUNTED = Look.new(ordered: false, share: 1/2r)
      REACH = 100
      FULLNESS_REACH = 1/2r

      module_function

      # @param treatment [Treatment] that can be reckoned
      # @param unit [Unit] whose least step the figures move by
      # @param look [Look]
      # @return [Array<Near>] each figure that moves the answer within reach, the measured ones first
      #
      #   Nearness.of(treatment, Units::CM).first.above.apart # => (73/1)
      def of(treatment, unit, look = WHOLE)
        laid = {}
        now = Outcome.of(treatment, laid)
        figures(treatment, unit).map { |figure| near(now, figure, look, laid) }.select { |one| one.edges.any? }
      end

      # @param treatment [Treatment]
      # @return [Array<Figure>] every figure that it has, the measured ones first
      #
      #   Nearness.figures(treatment, Units::CM).map(&:path).first(2) # => ["support.length", "return_left"]
      def figures(treatment, unit)
        {measured: MEASURED, chosen: OF_HEADING + CHOSEN}.flat_map do |sort, paths|
          paths.select { |path| there?(treatment, path) }.map { |path| figure(path, sort, unit) }
        end
      end

      # @return [Figure]
      #
      #   Nearness.figure("support/length", :length, Units::CM).step # => (1/1)
      def figure(path, sort, unit) =
        Figure.new(path: path, sort: sort, step: path.end_with?("fullness") ? PERCENT : unit.step)

      # @param now [Outcome]
      # @param figure [Figure]
      # @param look [Look]
      # @return [Near]
      #
      #   drop = Nearness.figure("drop.readings", :measured, Units::CM)
      #   Nearness.near(Nearness::Outcome.new(reckoning), drop).above.apart # => (73/1)
      def near(now, figure, look = WHOLE, laid = {})
        at = figure.at(now.treatment)
        reach = ((figure.fullness? ? FULLNESS_REACH : [at.abs * look.share, REACH].max) / figure.step).floor
        sides = {below: -1, above: 1}.transform_values { |way| edge(now, figure, way, reach, look, laid) }
        Near.new(figure: figure, at: at, **sides)
      end

      # @param way [Integer] −1 looks below, 1 above
      # @param reach [Integer] steps
      # @return [Edge, nil] the nearest
      #
      #   drop = Nearness.figure("drop.readings", :measured, Units::CM)
      #   Nearness.edge(Nearness::Outcome.new(reckoning), drop, -1, 100).apart # => (28/1)
      def edge(now, figure, way, reach, look = WHOLE, laid = {})
        reach = figure.room_below(now.treatment, reach) if way.negative?
        Search.new(now, figure, laid, way, ordered: look.ordered).edge(reach)
      end

      # A turning of no kind has no depth to move, and what a heading doesn't have isn't there.
      #
      #   Nearness.there?(treatment, "lining.lift") # => false
      def there?(treatment, path)
        value = Figure.read(treatment, path.split("."))
        return false if value.nil? || (path.end_with?(".depth") && none?(treatment, path))

        value.is_a?(Length) || value.is_a?(Fullness) || value.is_a?(Array)
      end

      def none?(treatment, path) = Figure.read(treatment, path.split(".")[0..-2]).kind == "none"
      private_class_method :none?
    end
  end
end
