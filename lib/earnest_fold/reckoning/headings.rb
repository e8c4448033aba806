# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # What a heading is asked about one curtain: its place, its flat width, its widths of cloth, and where its seams
    # lie.
    HeadingTask = Value.define(:span, :flat, :widths, :seams) do
      # A panel that came made, as a heading sees it.
      # @param finished_width [Length] as it hangs
      # @param flat [Length]
      # @return [HeadingTask]
      #
      #   HeadingTask.standing(Length.cm(100), Length.cm(200)).flat # => 2000 mm
      def self.standing(finished_width, flat)
        span = Span.new(
          hand: "single",
          finished_width: finished_width,
          return_flat: Length::ZERO,
          lead_flat: Length::ZERO,
          leads: :right,
          expression: []
        )
        new(span: span, flat: flat, widths: 1r, seams: [])
      end
    end

    # The contract of a heading kind, with what most of them answer alike. A kind is one file in headings/: a frozen
    # value that declares `KIND`, `FIELDS` and `EXAMPLE` and registers itself in {Headings}. It answers numbers and
    # geometry, never words or drawings.
    module Heading
      # @param values [Hash] as the kind's FIELDS read them
      # @param problems [Problems]
      # @return [Heading, nil] nil where its figures contradict each other
      def self.included(kind)
        kind.extend(Kind)
      end

      # What the class of a heading answers.
      module Kind
        # @return [String] its name in documents
        #
        #   Wave.kind # => "wave"
        def kind = self::KIND

        # @return [Fields] that are its own
        #
        #   Wave.fields.names.first(2) # => [:glider_spacing, :hook_pitch]
        def fields = self::FIELDS

        # @return [Fields] with its name
        #
        #   Wave.all_fields.names.last # => :tape_below
        def all_fields = @all_fields ||= fields + HEADING_NAME

        # @return [Hash] one as a document has it, in millimetres
        #
        #   PencilPleat.example["fullness"] # => 2
        def example = self::EXAMPLE

        # @return [Array<String>] what of the support it is reckoned with, as fields of the treatment
        #
        #   Headings.fetch("clip_ring").asks_of_support # => ["support.carriers"]
        def asks_of_support = %w[support.carriers]

        # @return [String, nil] the kind of tape that it takes; nil where it takes none
        #
        #   HandPleat.tape # => nil
        def tape = nil

        # @return [Symbol, nil] its own field that the tape's pitch is; nil where it has none
        #
        #   HandPleat.tape_pitch # => nil
        def tape_pitch = nil

        # @return [Array<String>] its own fields that a tape says for as long as nobody says otherwise
        #
        #   Headings.fetch("wave").filled_by_tape # => ["tape_below", "tape_turn_in", "hook_pitch"]
        def filled_by_tape
          return [] unless tape

          (Tape::FILLS.keys & fields.names.map(&:to_s)) + [tape_pitch].compact.map(&:to_s)
        end

        # @param values [Hash] as FIELDS read them
        # @param problems [Problems]
        # @return [Heading, nil] nil where its figures contradict each other
        #
        #   Headings["pencil_pleat"].build(treatment.heading.to_h, Problems.new).fullness.ratio # => (2/1)
        def build(values, _problems) = new(**values)
      end

      # No curtain has more pleats.
      MOST_PLEATS = 2000

      # @return [String] its name in documents
      #
      #   treatment.heading.kind # => "pencil_pleat"
      def kind = self.class.kind

      # @param span [Span]
      # @return [Length] the flat width that the fullness asks for
      #
      #   treatment.heading.needed(treatment.spans.first) # => 2000 mm
      def needed(span) = span.finished_width * asked

      # @param span [Span]
      # @return [Array] how {#needed} came about
      #
      #   treatment.heading.needed_expression(treatment.spans.first) # => [1000 mm, "×", (2/1)]
      def needed_expression(span) = [span.finished_width, "×", asked]

      # @return [Rational] the fullness asked
      #
      #   treatment.heading.asked # => (2/1)
      def asked = fullness.ratio

      # @return [Boolean] whether what the tape dictates has to be reached and is kept to
      #
      #   [treatment, headed("wave")].map { |one| one.heading.dictates? } # => [false, true]
      def dictates? = false

      # @return [Boolean] whether it is drawn up by cords
      #
      #   [treatment, lined].map { |one| one.heading.corded? } # => [true, false]
      def corded? = false

      # @return [Boolean] whether a tape is sewn on
      #
      #   [treatment, lined].map { |one| one.heading.taped? } # => [true, false]
      def taped? = false

      # @return [Boolean] whether its tape is sewn along its top row first, so that it can't rope
      #
      #   treatment.heading.top_row_first? # => false
      def top_row_first? = false

      # @return [Length, nil] how far a frill set between curtain and tape stands above the top
      #
      #   treatment.heading.frill_above # => nil
      def frill_above = nil

      # @return [Stiffening, nil] what its turned top is stiffened with; nil where it isn't
      #
      #   treatment.heading.stiffened # => nil
      def stiffened = nil

      # @return [Boolean] whether the fullness made can fall short of the fullness asked
      #
      #   [treatment, headed("wave")].map { |one| one.heading.can_be_thin? } # => [true, false]
      def can_be_thin? = true

      # @param support [Support]
      # @return [Length] what the top takes of the cloth
      #
      #   treatment.heading.top_allowance(treatment.support) # => 40 mm
      def top_allowance(_support) = top_turn

      # @param task [HeadingTask]
      # @return [Rational] the fullness made
      #
      #   treatment.heading.made_fullness(curtain.task) # => (263/100)
      def made_fullness(task) = task.flat / task.span.finished_width

      # @return [Array] how {#made_fullness} came about
      #
      #   treatment.heading.made_expression(curtain.task) # => [2630 mm, "÷", 1000 mm]
      def made_expression(task) = [task.flat, "÷", task.span.finished_width]

      # @param figures [Hash] as {#figures} gave them
      # @return [Hash{Symbol => Integer}] the counts that its tape or its pleats dictate: another count is another
      #   heading to make
      #
      #   made = lined.reckon.curtains.first
      #   lined.heading.dictated(made.heading) # => {:pleats=>10}
      def dictated(_figures) = {}

      # @param task [HeadingTask]
      # @param figures [Hash] with the counts near which it is asked
      # @return [Array<Rational>] what those counts are rounded from: about where one comes to its next whole number,
      #   there is another count
      #
      #   made = headed("webbing").reckon.curtains.first
      #   headed("webbing").heading.counted_from(made.task, made.heading) # => [(1250/381)]
      def counted_from(_task, _figures) = []

      # @param from [HeadingTask] and `to`, of which all else runs one way between the two
      # @param figures [Hash] whose counts are the same for both
      # @return [Boolean] whether they are the same for everything between; false also where that isn't sure
      #
      #   treatment.heading.dictates_alike?(curtain.task, curtain.task, curtain.heading) # => true
      def dictates_alike?(_from, _to, _figures) = true

      # @param figures [Hash] as {#figures} gave them
      # @return [Integer, nil] how many carriers of the support the curtain takes; nil where none are counted
      #
      #   treatment.heading.carriers(curtain.heading) # => 14
      def carriers(_figures) = nil

      # @param task [HeadingTask]
      # @param support [Support]
      # @return [Hash{Symbol => Length, Integer, nil}] the heading's own figures
      #
      #   treatment.heading.figures(curtain.task, treatment.support)[:hooks] # => 14
      def figures(task, support) = raise(NotImplementedError)

      # @param task [HeadingTask]
      # @param figures [Hash]
      # @return [Array<Mark>] in order from the leading edge
      #
      #   made = lined.reckon.curtains.first
      #   lined.heading.marks(made.task, made.heading).first.kind # => :overlap
      def marks(_task, _figures) = []

      # Where a tape, a cord or pleats dictate a count: the nearest counts below and above, with what each gives.
      # @param task [HeadingTask]
      # @param figures [Hash]
      # @return [Array<NearCount>] none where nothing is counted
      #
      #   made = headed("fixed_pitch").reckon.curtains.first
      #   headed("fixed_pitch").heading.near_counts(made.task, made.heading).size # => 3
      def near_counts(_task, _figures) = []

      # @param count [Integer] one of {#near_counts}
      # @param span [Span]
      # @return [Heading, nil] the same heading asked for that count; nil where a count can't be asked for
      #
      #   lined.heading.with_count(9, lined.spans.first).pleats # => 9
      def with_count(_count, _span) = nil

      # @param task [HeadingTask]
      # @param figures [Hash]
      # @return [Array<Line>] how the figures came about
      #
      #   made = headed("buckram_panel").reckon.curtains.first
      #   headed("buckram_panel").heading.working(made.task, made.heading).size # => 1
      def working(_task, _figures) = []

      # @return [Symbol] by which drawing it is shown: :heading_marks, or :gathers where it is drawn up
      #
      #   [treatment, lined].map { |one| one.heading.drawn_as } # => [:gathers, :heading_marks]
      def drawn_as = :heading_marks

      # @return [Symbol, nil] its own field by which a count is asked for; nil where its fullness gives the count
      #
      #   [treatment, lined].map { |one| one.heading.count_field } # => [nil, :pleats]
      def count_field = nil

      # @return [Rational, nil] the fullness below which a curtain of it looks like a sheet; nil where nobody says
      #
      #   [treatment, headed("eyelet")].map { |one| one.heading.thin_below } # => [(2/1), (8/5)]
      def thin_below = nil

      # @return [Boolean] whether an even count turns both edges the same way
      #
      #   [treatment, headed("eyelet")].map { |one| one.heading.even_counted? } # => [false, true]
      def even_counted? = false

      # @return [Length, nil] the pitch by which hooks stand at both very ends; nil where they needn't
      #
      #   [treatment, headed("fixed_pitch")].map { |one| one.heading.pitch_to_the_ends } # => [nil, 100 mm]
      def pitch_to_the_ends = nil

      # @return [Boolean] whether it is stiffened by something that takes the iron's heat
      #
      #   [treatment, lined].map { |one| one.heading.fused? } # => [false, true]
      def fused? = false

      # @return [Boolean] whether it hangs from open hooks, which let go
      #
      #   [treatment, headed("webbing")].map { |one| one.heading.hangs_from_open_hooks? } # => [false, true]
      def hangs_from_open_hooks? = false

      # @return [Boolean] whether a tape, cord or hooks dictate the flat width that its folds come from
      #
      #   [treatment, headed("pleater_hook")].map { |one| one.heading.folds_dictated? } # => [false, true]
      def folds_dictated? = dictates?

      # @return [Hash{Symbol => Array<String>}] the steps by which it is made: what is set out before anything is cut
      #   (`set_out`), how its top is turned (`top`), and what is put on and formed (`heading`)
      #
      #   treatment.heading.made_by[:top] # => ["stiffen_top", "turn_top"]
      def made_by = {set_out: folds_dictated? ? %w[set_out_heading] : [], top: %w[stiffen_top turn_top],
                     heading: %w[form_heading]}

      # @return [String, nil] the method that it is usually made by; nil where any other does as well
      #
      #   [treatment, headed("rod_pocket")].map { |one| one.heading.usual_method } # => [nil, "unlined_sides_first"]
      def usual_method = nil

      # @return [Boolean] whether the hem comes after it: its weight is what the deep hem gives
      #
      #   [treatment, headed("rod_pocket")].map { |one| one.heading.hem_last? } # => [false, true]
      def hem_last? = false

      # @return [Boolean] whether everything of it is sewn by machine, as for a stage
      #
      #   [treatment, headed("webbing")].map { |one| one.heading.sewn_by_machine? } # => [false, true]
      def sewn_by_machine? = false

      # @return [Boolean] whether its end hooks go to stops at the support's ends
      #
      #   [treatment, headed("wave")].map { |one| one.heading.ends_on_stops? } # => [false, true]
      def ends_on_stops? = false

      # @return [Boolean] whether it hangs from a cord of beads along the track
      #
      #   [treatment, headed("wave")].map { |one| one.heading.hangs_on_cord? } # => [false, true]
      def hangs_on_cord? = false

      # @return [Boolean] whether the same panel can hang from rings or clips and on a rod
      #
      #   [treatment, headed("clip_ring")].map { |one| one.heading.hangs_either_way? } # => [false, true]
      def hangs_either_way? = false

      # @return [Boolean] whether its tape is sewn to the face alone and the lining taken up under it
      #
      #   [treatment, headed("wave")].map { |one| one.heading.lining_taken_up? } # => [false, true]
      def lining_taken_up? = false

      # @param support [Support]
      # @return [Array<Length>] the top's press lines from the raw edge; its last is what the top takes
      #
      #   treatment.heading.top_lines(treatment.support) # => [40 mm]
      def top_lines(support) = [top_allowance(support)]

      # @return [Symbol] how hooks go in: :do into a tape, :pinned at their setting, :looped into loops, :pronged
      #
      #   [treatment, lined].map { |one| one.heading.hooked_as } # => [:do, :pinned]
      def hooked_as = :do

      # @return [Integer, nil] into every how manieth pocket a hook goes; nil where they aren't counted so
      #
      #   lined.heading.hooked_every # => nil
      def hooked_every = nil

      # @param figures [Hash]
      # @return [Array<Array<Integer>>, nil] the pockets that each hook's prongs go into, from the leading edge; nil
      #   where hooks have one prong
      #
      #   treatment.heading.pockets_of(curtain.heading) # => nil
      def pockets_of(_figures) = nil

      # @param projection [Length] how far the support stands off the wall
      # @return [Boolean] whether its folds reach further back
      #
      #   treatment.heading.deeper_than?(Length.cm(5)) # => false
      def deeper_than?(_projection) = false

      # @param diameter [Length] of a pole that it goes over
      # @return [Hash, nil] what it passes over with and the least that would do, where it hardly does
      #
      #   headed("eyelet").heading.too_tight_for(Length.cm(4)) # => {:eyelet=>40 mm, :least=>50 mm}
      def too_tight_for(_diameter) = nil

      # @param task [HeadingTask]
      # @return [Boolean] whether there is cloth for its folds, and room between the ends
      #
      #   lined.heading.pleatable?(lined.reckon.curtains.first.task) # => true
      def pleatable?(_task) = true

      # @param figures [Hash]
      # @return [Hash, nil] what of its pleats lies outside its range
      #
      #   treatment.heading.out_of_range(curtain.heading) # => nil
      def out_of_range(_figures) = nil

      # @param task [HeadingTask]
      # @param figures [Hash]
      # @return [Array<Mark>] each seam that it says something of, `kind` naming the part it lies in
      #
      #   made = headed("hand_pleat").reckon.curtains.first
      #   headed("hand_pleat").heading.seam_marks(made.task, made.heading).size # => 1
      def seam_marks(_task, _figures) = []

      # @param figures [Hash]
      # @return [Length, nil] how wide it is drawn up by what was counted; nil where it is as wide as was asked
      #
      #   treatment.heading.drawn_up(curtain.heading) # => nil
      def drawn_up(_figures) = nil

      # @param figures [Array<Hash>] of each curtain
      # @return [Hash, nil] drop, width and count of the tabs that are cut beside it; nil where it has none
      #
      #   treatment.heading.tabs(curtain.heading) # => nil
      def tabs(_figures) = nil

      # @return [String, nil] the style of its folds, where it has several
      #
      #   [treatment, lined].map { |one| one.heading.fold_style } # => [nil, "triple"]
      def fold_style = nil

      # @return [Integer, nil] how many fingers each fold has; nil where its style says so
      #
      #   [treatment, headed("pleater_hook")].map { |one| one.heading.fingers } # => [nil, 3]
      def fingers = nil

      # @return [Boolean] whether it is drawn into pleats, flat between them, rather than into waves
      #
      #   [treatment, lined].map { |one| one.heading.pleated? } # => [false, true]
      def pleated? = false

      # @return [Boolean] whether its folds are dressed by hand when it hangs, and have to set
      #
      #   [treatment, headed("wave")].map { |one| one.heading.dressed? } # => [false, true]
      def dressed? = pleated?

      # @param task [HeadingTask]
      # @param figures [Hash]
      # @return [Integer] folds the curtain makes when it hangs, at least one
      #
      #   treatment.heading.folds(curtain.task, curtain.heading) # => 22
      def folds(task, _figures) = Folds.gathered(task.flat)

      # @param task [HeadingTask]
      # @param figures [Hash]
      # @return [Length] how far the folds reach from the line they hang on, about
      #
      #   treatment.heading.fold_depth(curtain.task, curtain.heading) # => 28 mm
      def fold_depth(task, figures) = Folds.depth(task.flat, task.span.finished_width, folds(task, figures))

      # @return [Symbol] :hook where it hangs from hooks or rings, :pole where it goes round the pole itself
      #
      #   treatment.heading.bears_on # => :hook
      def bears_on = :hook

      # @return [Boolean] whether it is slid onto its pole or rod, which comes off its brackets for it
      #
      #   [treatment, headed("eyelet")].map { |one| one.heading.threaded? } # => [false, true]
      def threaded? = bears_on == :pole

      # @param points [PointRules]
      # @param support [Support]
      # @return [Length, nil] how far the top edge stands above the hook's bearing point, or above the pole's upper
      #   side; nil where a figure is wanting
      #
      #   treatment.heading.rise(treatment.drop.points, treatment.support) # => 0 mm
      def rise(points, _support) = points.hook_drop

      # Says what about this heading can't be reckoned.
      # @param support [Support]
      # @param problems [Problems] at the heading's place
      #
      #   treatment.heading.refuse(treatment.support, Problems.new) # => nil
      def refuse(_support, _problems) = nil
    end

    # The kinds of heading.
    Headings = Registry.new(:kind, :fields, :example, :build)

    # The field by which a heading says of which kind it is.
    HEADING_NAME = Fields.new(kind: Declare.name_of(Headings, said: "headings"))
  end
end
