# frozen_string_literal: true

module EarnestFold
  module Drawings
    # A heading small enough to choose it by: what it hangs from, a stretch of it with its marks where they fall, and
    # how the cloth falls from them. Drawn from what its kind answers of its own example.
    class HeadingIcon
      R = Reckoning
      WIDTH, HEIGHT, SIDE, RAIL = 96, 46, 4, 9
      # So much of it is shown.
      STRETCH = R::Length.mm(620)

      # @param heading [Reckoning::Heading]
      # @param support [Reckoning::Support]
      # @return [HeadingIcon, nil] nil where its example can't be laid out
      #
      #   size(Drawings::HeadingIcon.of(treatment.heading, treatment.support)) # => "96 46"
      def self.of(heading, support)
        span = R::HeadingTask.standing(STRETCH, STRETCH).span
        task = R::HeadingTask.standing(STRETCH, heading.needed(span))
        new(heading, task, heading.figures(task, support))
      end

      # @param heading [Reckoning::Heading]
      # @param task [Reckoning::HeadingTask]
      # @param figures [Hash]
      def initialize(heading, task, figures)
        @heading, @task = heading, task
        @marks = heading.marks(task, figures)
        @svg = Svg.new(WIDTH, HEIGHT, says: Words.say("headings.#{heading.kind}"), css: "drawing heading-icon")
      end

      # @return [String]
      #
      #   size(Drawings::HeadingIcon.of(treatment.heading, treatment.support)) # => "96 46"
      def to_s
        support
        @heading.hangs_on_cord? ? wave : falls
        @marks.each { |mark| draw(mark) }
        @svg.to_s
      end

      private

      def support
        return @svg.rect(1, RAIL - 3, WIDTH - 2, 6, rx: 3, class: "pole") if @heading.threaded?

        @svg.line(1, RAIL, WIDTH - 1, RAIL, class: "track")
      end

      def whole = (@marks.first&.along == :flat) ? @task.flat : @task.span.finished_width

      def x(distance) = SIDE + (distance / whole).to_f * (WIDTH - 2 * SIDE)

      # In pleats, from each; else evenly.
      def falls
        @heading.pleated? ? places.each { |at| fan(at) } : straight
      end

      def places
        pleats = @marks.reject { |mark| mark.kind == :buckram }
        pleats.map { |mark| (x(mark.at) + x(mark.to || mark.at)) / 2 }
      end

      def fan(at)
        top = RAIL + 3
        @svg.path(["M", at, top, "V", top + 9, "M", at - 2, top, "L", at, top + 9, "L", at - 4, HEIGHT - 2,
          "M", at + 2, top, "L", at, top + 9, "L", at + 4, HEIGHT - 2], class: "fold")
      end

      def straight
        lines = @heading.corded? ? 23 : 12
        each = (WIDTH - 2 * SIDE) / lines.to_f
        commands = (0..lines).flat_map { |index| ["M", SIDE + each * index, RAIL + 3, "V", HEIGHT - 2] }
        @svg.path(commands, class: "fold")
      end

      def wave
        each = (WIDTH - 2 * SIDE) / 6.0
        curve = (0...6).flat_map { |index| ["q", each / 2, index.even? ? 12 : -12, each, 0] }
        @svg.path(["M", SIDE, RAIL + 4, *curve], class: "wave")
        lines = (0..6).flat_map { |index| ["M", SIDE + each * index, RAIL + 10, "V", HEIGHT - 2] }
        @svg.path(lines, class: "fold")
      end

      def draw(mark)
        from, to = x(mark.at), x(mark.to || mark.at)
        case mark.kind
        when :tab then @svg.rect(from, RAIL - 5, [to - from, 4].max, 12, class: "tab")
        when :pocket then @svg.rect(from, RAIL - 5, to - from, 11, rx: 4, class: "tab")
        when :buckram then @svg.rect(from, RAIL + 2, to - from, 9, class: "tab")
        when :eyelet then @svg.circle(from, RAIL, 3.4, class: "eyelet")
        when :ring then @svg.circle(from, RAIL, 4, class: "ring")
        end
      end
    end
  end
end
