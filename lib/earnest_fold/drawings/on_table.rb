# frozen_string_literal: true

module EarnestFold
  module Drawings
    # One curtain as it lies on the table for one step: face down, so its leading edge is on the other hand; the
    # table's grid under it, its sections where it is longer than the table, and the lines that the step is about.
    class OnTable
      R = Reckoning
      WIDTH, HIGHEST = 900, 300
      MARGIN = {side: 150, top: 40, bottom: 60}.freeze
      GRID = R::Length.mm(100)
      # What is drawn of a step, by the edge that is worked on: lines across from the foot or from the top, lines along
      # from both sides, or the seams; each from those of the step's figures that there are.
      LINES = {
        hem: [:hem, %i[second_press first_press hem_depth finished_drop lift]],
        foot: [:hem, %i[lift]],
        corner: [:hem, %i[hem_depth left_open]],
        top: [:top, %i[second_press first_press sewn_at top]],
        side: [:sides, %i[takes wrap side_turn inset]],
        seam: [:seams, []],
        table: [:hem, %i[finished_drop]]
      }.freeze
      # Where the whole of it lies there.
      WHOLE = [:hem, %i[finished_drop lift]].freeze
      # Not more than these are drawn beside one another.
      MOST_LINES = 2

      # @param reckoning [Reckoning::TreatmentReckoning]
      # @param curtain [Reckoning::Curtain]
      # @param step [Reckoning::MakingUp::Step]
      # @param unit [Reckoning::Unit]
      # @param table [Reckoning::Length] its length
      # @param colour [String]
      def initialize(reckoning, curtain, step, unit, table:, colour:)
        @reckoning, @curtain, @step, @unit, @table, @colour = reckoning, curtain, step, unit, table, colour
        @wide, @tall = extent
        @scale = Scale.fitting([WIDTH - 2 * MARGIN[:side], HIGHEST], [@wide, @tall])
        @svg = Svg.new(WIDTH, MARGIN[:top] + height + MARGIN[:bottom], says: says, css: "drawing on-table")
      end

      # @return [String]
      def to_s
        grid
        @svg.rect(left, MARGIN[:top], width, height, fill: Tint.of(@colour), class: "cloth face-down")
        sections
        drawn.each { |where, names| lines(where, names) }
        @svg.rect(left, MARGIN[:top], width, height, class: "outline")
        edges
        @svg.to_s
      end

      private

      def says
        step = Words.say("work_steps.#{@step.code}.title")
        Words.say("drawings.on_table", hand: Words.hand(@curtain.hand), step: step)
      end

      # A cut is a width of cloth; before it is folded the hem's allowance still lies below.
      def extent
        if cut?
          return [
            @reckoning.treatment.sideways? ? @curtain.cut_width : @reckoning.treatment.face.width,
            @reckoning.cut_drop
          ]
        end

        return [@curtain.flat_width, @reckoning.lining.drop_cut.finished] if lining_alone?

        [@curtain.flat_width, @reckoning.finished_drop + below_the_fold]
      end

      # What of the hem still lies below its fold while it is pressed.
      def below_the_fold
        pressed = @step.operations.any? { |one| one.deed == :press && one.edge == :hem }
        pressed ? @step.figures.values_at(:second_press, :first_press).compact.first : R::Length::ZERO
      end

      def cut? = @step.operations.any? { |one| one.edge == :cut }

      # @return [Boolean] whether the lining lies there by itself
      def lining_alone? = @step.operations.all? { |one| one.layers == %i[lining] }

      # @return [Array<Array(Symbol, Array<Symbol>)>] where lines are drawn, and of which figures
      def drawn
        return [[:hem, %i[cut_drop]]] if cut?
        return [[:folds, []]] if @step.operations.all? { |one| one.deed == :press && one.edge.nil? }

        return [[:hem, %i[finished_drop]], [:seams, []]] if measured_whole?

        there = @step.operations.map { |one| LINES.fetch(one.edge, WHOLE) }.uniq
        there = there.map { |where, names| [where, names.select { |name| length?(name) }.first(MOST_LINES)] }
        if lining_alone?
          there.map { |where, names| [(where == :seams) ? :lining_seams : where, names] }
        else
          there
        end
      end

      # @return [Boolean] whether its drop is measured and marked
      def measured_whole? = @step.deed?(:mark) && length?(:finished_drop)

      def length?(name) = @step.figures[name].is_a?(R::Length)

      def width = @scale[@wide]

      def height = @scale[@tall]

      def left = (WIDTH - width) / 2

      def bottom = MARGIN[:top] + height

      # The table itself, ten centimetres to a square.
      def grid
        each = @scale[GRID]
        path =
          (0..(WIDTH / each).floor).flat_map { |count| ["M", count * each, 0, "V", bottom + MARGIN[:bottom]] } +
          (0..((bottom + MARGIN[:bottom]) / each).floor).flat_map { |count| ["M", 0, count * each, "H", WIDTH] }
        @svg.path(path, class: "grid")
      end

      # Face down, a left curtain's leading edge lies at the left.
      def leads_left? = @curtain.leads == :right

      def x(distance) = leads_left? ? left + @scale[distance] : left + width - @scale[distance]

      # From the leading edge, where one section ends and the next begins.
      def sections
        ends_of_sections.each do |to|
          at = x(to)
          @svg.line(at, MARGIN[:top] - 8, at, bottom + 8, class: "section")
          @svg.text(at, bottom + 22, Words.length(to, @unit), class: "figure", text_anchor: "middle")
        end
      end

      def ends_of_sections
        return R::MakingUp::Sections.of(@curtain, @table)[0..-2] unless cut? || lining_alone?

        Array.new((@wide / @table).ceil - 1) { |index| @table * (index + 1) }
      end

      def lines(where, names)
        case where
        when :hem
          names.each_with_index { |name, index| across(name, bottom - @scale[figure(name)], index) }
        when :top
          names.each_with_index { |name, index| across(name, MARGIN[:top] + @scale[figure(name)], index + 1) }
        when :sides
          names.each do |name|
            [left + @scale[figure(name)], left + width - @scale[figure(name)]].each do |at|
              @svg.line(at, MARGIN[:top], at, bottom, class: "step-line")
            end
          end
        when :folds
          folds
        when :lining_seams
          lining_seams
        when :seams
          @curtain.task.seams.each { |seam| seam(seam) }
        end
      end

      def figure(name) = @step.figures[name] || R::Length::ZERO

      # Told beside the cloth, one line at the right, the next at the left.
      def across(name, y, index)
        at = [y, MARGIN[:top]].max
        @svg.line(left - 10, at, left + width + 10, at, class: "step-line")
        x, anchor = index.even? ? [left + width + 16, "start"] : [left - 16, "end"]
        @svg.text(x, at - 3, Words.say("work_figures.#{name}"), class: "edge", text_anchor: anchor)
        @svg.text(x, at + 20, Words.length(figure(name), @unit), class: "figure", text_anchor: anchor)
      end

      def seam(at)
        [-1.5, 1.5].each { |aside| @svg.line(x(at) + aside, MARGIN[:top], x(at) + aside, bottom, class: "seam") }
        @svg.text(x(at), MARGIN[:top] - 10, Words.length(at, @unit), class: "figure", text_anchor: "middle")
      end

      # The lining's own widths, from the leading edge.
      def lining_seams
        return if @reckoning.lining.sideways?

        each = @reckoning.lining.cloth.usable_width
        (1...(@wide / each).ceil).each { |count| seam(each * count) }
      end

      # Folded lengthwise in four, then the hem up to the top.
      def folds
        [1, 2, 3].each do |part|
          @svg.line(x(@wide * part / 4), MARGIN[:top], x(@wide * part / 4), bottom, class: "section")
        end
        @svg.line(left, MARGIN[:top] + height / 2, left + width, MARGIN[:top] + height / 2, class: "step-line")
      end

      # The top of a cut, so that all lie one way.
      def top_of_cut
        @svg.path(
          ["M", left + width / 2, MARGIN[:top] + 34, "v", -24, "m", -8, 9, "l", 8, -9, "l", 8, 9],
          class: "top-mark"
        )
        @svg.text(
          left + width / 2,
          MARGIN[:top] - 10,
          Words.say("drawings.top_of_cut"),
          class: "edge",
          text_anchor: "middle"
        )
      end

      def edges
        return top_of_cut if cut?

        words = [Words.say("drawings.leading_edge"), Words.say("drawings.return_edge")]
        words.reverse! unless leads_left?
        @svg.text(left, MARGIN[:top] - 24, words.first, class: "edge", text_anchor: "start")
        @svg.text(left + width, MARGIN[:top] - 24, words.last, class: "edge", text_anchor: "end")
        @svg.text(left + width / 2, bottom + 52, Words.say("drawings.face_down"), class: "edge", text_anchor: "middle")
      end
    end
  end
end
