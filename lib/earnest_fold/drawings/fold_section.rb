# frozen_string_literal: true

module EarnestFold
  module Drawings
    # A fold in section, as one looks along it: the cloth coming from the left, folded back on itself at each press line
    # with its raw edge inside, the lines at their distances from that edge, where it is stitched, and the lining where
    # it lies between. Lengths are to scale, the layers are drawn apart.
    class FoldSection
      R = Reckoning
      WIDTH, APART, TOP, BELOW = 560, 15, 34, 46
      # What of the cloth is shown beyond the fold, as a share of what it takes.
      BEYOND = 3/2r

      # @param step [Reckoning::MakingUp::Step]
      # @return [Boolean] whether the step folds anything at press lines
      #
      #   steps.map { |step| Drawings::FoldSection.draws?(step) }.count(true) # => 3
      def self.draws?(step) = step.deed?(:fold) && !lines(step).empty?

      # @param step [Reckoning::MakingUp::Step]
      # @return [Array<Reckoning::Length>] its press lines from the raw edge
      #
      #   Drawings::FoldSection.lines(steps.find { |step| step.code == "press_hem" }).size # => 2
      def self.lines(step)
        figures = step.figures
        return figures[:press_lines] if figures[:press_lines]
        return [figures[:first_press], figures[:second_press]].compact if figures[:first_press]

        sides(figures)
      end

      # A side is pressed at the full amount, its raw edge tucked in.
      def self.sides(figures)
        takes, shows = figures.values_at(:takes, :fold)
        return [] unless takes

        (takes == shows) ? [takes] : [takes - shows, takes]
      end
      private_class_method :sides

      # @param step [Reckoning::MakingUp::Step]
      # @param unit [Reckoning::Unit]
      # @param lining_off [Reckoning::Length, nil] how far a lining that lies in the fold stays off it; nil where none
      #   does
      def initialize(step, unit, lining_off: nil)
        @unit, @lining_off, @lines = unit, lining_off, FoldSection.lines(step)
        @takes = @lines.last
        @sewn = step.operations.any? { |one| one.deed == :sew }
        @scale = Scale.fitting([WIDTH - 150, 10_000], [@takes * (1 + BEYOND), R::Length.mm(1)])
        says = Words.say("drawings.fold_section", step: Words.step(step), takes: @takes, unit: unit)
        @svg = Svg.new(WIDTH, TOP + @lines.size * APART + BELOW, says: says, css: "drawing fold-section")
      end

      # @return [String]
      #
      #   size(Drawings::FoldSection.new(steps.find { |step| step.code == "press_hem" }, Units::CM)) # => "560 110"
      def to_s
        lining if @lining_off
        @svg.path(outline, class: "section-cloth")
        stitch if @sewn
        folds.each_with_index { |at, index| label(at, index) }
        @svg.text(20, ground + 20, Words.say("drawings.of_the_cloth"), class: "edge", text_anchor: "start")
        @svg.to_s
      end

      private

      # Where the cloth itself lies, below its folds.
      def ground = TOP + @lines.size * APART

      # Where the outermost fold is.
      def edge = WIDTH - 110

      # Layers above the cloth: the outermost back lies highest, what is folded next goes inside.
      def levels
        count = @lines.size
        Array.new(count) { |index| index.even? ? count - index / 2 : (index + 1) / 2 }
      end

      # The cloth between two press lines, from the outermost fold to the raw edge.
      def lengths = [R::Length::ZERO, *@lines].each_cons(2).map { |one, other| other - one }.reverse

      # @return [Array<Float>] where each press line lies, the outermost first
      def folds
        lengths.each_with_index.each_with_object([edge]) { |(length, index), at|
          at << at.last + @scale[length] * (index.even? ? -1 : 1)
        }[0..-2]
      end

      def outline
        at = edge
        path = ["M", 10, ground, "H", at]
        lengths.zip(levels).each_with_index do |(length, level), index|
          at += @scale[length] * (index.even? ? -1 : 1)
          path.push("V", ground - level * APART, "H", at)
        end
        path
      end

      # The raw foot of a lining under the hem.
      def lining
        at = edge - @scale[@lining_off]
        @svg.line(10, ground - APART / 2.0, at, ground - APART / 2.0, class: "section-lining")
      end

      # Close to the inner fold, through every layer.
      def stitch
        at = (folds[1] || folds.first - @scale[@takes]) + 5
        @svg.line(at, ground + 4, at, ground - @lines.size * APART - 4, class: "stitch")
      end

      # The outermost at the right of its fold, the others above theirs.
      def label(at, index)
        told = Words.length(@lines[-1 - index], @unit)
        if index.zero?
          @svg.text(at + 12, ground - APART / 2.0, told, class: "figure", text_anchor: "start")
        else
          @svg.text(at, TOP - 10, told, class: "figure", text_anchor: "middle")
        end
      end
    end
  end
end
