# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # Gliders on a cord that can't stretch: their spacing and the hooks' pitch on the tape dictate the wave.
    class Wave < Value.define(:glider_spacing, :hook_pitch, :tape_turn_in, :top_turn, :tape_below)
      include Heading
      include CountedFlats

      KIND = "wave"
      CLEARANCE = Length.mm(10)
      FIELDS = Fields.new(
        glider_spacing: Declare.pitch,
        hook_pitch: Declare.pitch,
        tape_turn_in: Declare.length(Length::ZERO),
        top_turn: Declare.length(Length::ZERO),
        tape_below: Declare.length(nil)
      )
      EXAMPLE = {
        "kind" => KIND,
        "glider_spacing" => "80 mm",
        "hook_pitch" => "176 mm",
        "tape_turn_in" => "10 mm",
        "top_turn" => "90 mm"
      }.freeze

      def self.tape = "wave"

      def self.tape_pitch = :hook_pitch

      def self.asks_of_support = super + %w[support.projection]

      def even_counted? = true

      def asked = hook_pitch / glider_spacing

      def dictates? = true

      def can_be_thin? = false

      def needed(span) = hook_pitch * gliders(span)

      def needed_expression(span) = [gliders(span), "×", hook_pitch]

      def made_fullness(_task) = asked

      def made_expression(_task) = [hook_pitch, "÷", glider_spacing]

      def taped? = true

      def dressed? = true

      def ends_on_stops? = true

      def made_by = super.merge(heading: %w[lay_tape sew_tape take_up_lining put_in_hooks])

      def hangs_on_cord? = true

      def lining_taken_up? = true

      def hooked_as = :looped

      def figures(task, _support)
        count = gliders(task.span)
        {
          gliders: count,
          hooks: count + 2,
          tape_length: task.flat + tape_turn_in * 2,
          first: hook_pitch / 2,
          covers: glider_spacing * count
        }
      end

      def dictated(figures) = figures.slice(:gliders)

      def counted_from(task, _figures) = [pairs(task.span)]

      def carriers(figures) = figures[:gliders]

      # A hook for each glider, and the end hooks at both very edges, half a pitch from the next.
      #
      #   made = headed("wave").reckon.curtains.first
      #   headed("wave").heading.marks(made.task, made.heading).first.kind # => :hook
      def marks(_task, figures)
        gliders = Array.new(figures[:gliders]) { |index| figures[:first] + hook_pitch * index }
        [Length::ZERO, *gliders, hook_pitch * figures[:gliders]]
          .map { |at| Mark.new(kind: :hook, along: :flat, at: at, to: nil) }
      end

      def working(task, figures)
        [
          Line.of(
            :gliders,
            figures[:gliders],
            [task.span.finished_width, "÷", glider_spacing, "↑", "2", "×", figures[:gliders] / 2]
          ),
          Line.of(:wave_hooks, figures[:hooks], [figures[:gliders], "+", 2]),
          Line.of(:covers, figures[:covers], [figures[:gliders], "×", glider_spacing]),
          Line.of(:tape_length, figures[:tape_length], [task.flat, "+", 2, "×", tape_turn_in])
        ]
      end

      def folds(_task, figures) = figures[:gliders] / 2

      # By the spacing of the gliders, as the rules have it, however far the last of them can go.
      #
      #   made = headed("wave")
      #   made.heading.fold_depth(made.reckon.curtains.first.task, made.reckon.curtains.first.heading) # => 79 mm
      def fold_depth(task, figures) = Folds.depth(task.flat, figures[:covers], folds(task, figures))

      # Compared by squares, so that no root is rounded: half depth = ½·√(pitch² − spacing²).
      #
      #   headed("wave").heading.deeper_than?(Length.cm(5)) # => true
      def deeper_than?(projection)
        room = (projection - CLEARANCE) * 2
        room.negative? || hook_pitch.mm**2 - glider_spacing.mm**2 > room.mm**2
      end

      # @param values [Hash] as FIELDS read them
      # @param problems [Problems]
      # @return [Wave, nil] nil where its hooks stand closer than its gliders
      #
      #   Wave.build({hook_pitch: Length.cm(5), glider_spacing: Length.cm(6)}, Problems.new) # => nil
      def self.build(values, problems)
        return problems.within(:hook_pitch).add(:pitch_under_spacing) if values[:hook_pitch] < values[:glider_spacing]

        super
      end

      private

      def step = 2

      def unit_width = hook_pitch

      def counted(figures) = figures[:gliders]

      # What the gliders cover: a cord can't stretch, so a count below leaves a gap.
      def count_detail(count) = {covers: glider_spacing * count}

      # The least even count that covers: a cord can't stretch.
      def gliders(span) = 2 * pairs(span).ceil

      def pairs(span) = span.finished_width / glider_spacing / 2
    end

    Headings.register(Wave::KIND, Wave)
  end
end
