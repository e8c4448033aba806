# frozen_string_literal: true

module EarnestFold
  module Drawings
    # Which pockets hooks go into, from the leading edge: each pocket numbered, the prongs of the first hooks in theirs
    # with the loop that each pleat makes, and the last hook after the break.
    class InPockets
      R = Reckoning
      WIDTH, HEIGHT = 640, 150
      LEFT, TOP, TALL = 20, 62, 34
      # So many pockets are drawn one after the other.
      MOST = 34

      # @param step [Reckoning::MakingUp::Step]
      # @return [Boolean] whether it says pockets
      #
      #   steps.map { |step| Drawings::InPockets.draws?(step) }.count(true) # => 0
      def self.draws?(step) = !hooks(step).empty?

      # @param step [Reckoning::MakingUp::Step]
      # @return [Array<Array<Integer>>] the pockets of each hook's prongs
      #
      #   Drawings::InPockets.hooks(steps.first) # => []
      def self.hooks(step)
        figures = step.figures
        return figures[:pockets_of] if figures[:pockets_of]

        every, pockets = figures.values_at(:every, :pockets)
        (every && pockets) ? ((1..pockets).step(every).to_a | [pockets]).zip : []
      end

      # @param step [Reckoning::MakingUp::Step]
      def initialize(step)
        @step = step
        @hooks = InPockets.hooks(step)
        @shown = @hooks.select { |prongs| prongs.last <= MOST }
        @pockets = [@hooks.last.last, MOST].min
        @svg = Svg.new(WIDTH, HEIGHT, says: says, css: "drawing in-pockets")
      end

      # @return [String]
      def to_s
        (1..@pockets).each { |pocket| pocket(pocket) }
        ends if @step.figures[:end_hooks]
        @shown.each { |prongs| hook(prongs) }
        @svg.text(LEFT, 20, Words.say("drawings.leading_edge"), class: "edge", text_anchor: "start")
        last unless @shown.last == @hooks.last
        @svg.to_s
      end

      private

      def says = Words.say("drawings.in_pockets", hooks: @hooks.first(3).map { |prongs| prongs.join(", ") }.join("; "))

      def each = (WIDTH - LEFT * 2) / MOST.to_f

      def middle(pocket) = LEFT + each * (pocket - 0.5)

      def taken = @taken ||= @shown.flatten

      def pocket(number)
        @svg.rect(LEFT + each * (number - 1) + 1, TOP, each - 2, TALL, class: "tape-pocket")
        return unless taken.include?(number) || number == 1

        @svg.text(middle(number), TOP + TALL + 18, number.to_s, class: "figure", text_anchor: "middle")
      end

      # The prongs go up into the pockets; between two of them the tape folds to the front.
      def hook(prongs)
        prongs.each { |pocket| @svg.line(middle(pocket), TOP + TALL - 4, middle(pocket), TOP - 6, class: "prong") }
        prongs.each_cons(2) do |one, other|
          from, to = middle(one), middle(other)
          @svg.path(["M", from, TOP - 6, "Q", (from + to) / 2, TOP - 26, to, TOP - 6], class: "prong-loop")
        end
      end

      # A plain hook in the pocket at the very edge.
      def ends = @svg.line(middle(1), TOP + TALL - 4, middle(1), TOP - 6, class: "prong plain")

      def last
        told = Words.say("drawings.last_hook", pockets: @hooks.last.join(", "))
        @svg.text(WIDTH - LEFT, HEIGHT - 10, told, class: "edge", text_anchor: "end")
      end
    end
  end
end
