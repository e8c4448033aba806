# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # Hung as it came: nothing is sewn or cut. What it hangs from, its flat width and the tape that it has give how wide
    # each is drawn up, its hooks and its order of hanging. Several panels share the support, as many on either side of
    # the middle where it opens there.
    class HangOnly < Value.define(
      :existing_length,
      :stand_up,
      :hung_from,
      :support_length,
      :opening,
      :overlap,
      :curtains,
      :width,
      :heading
    )
      include Alteration
      include NothingCut

      KIND = "hang_only"
      OPENINGS = %w[pair one_way_left one_way_right].freeze
      STARTS_WITH = {"kind" => "pencil_pleat", "fullness" => "2"}.freeze
      FIELDS = Fields.new(
        **Declare.at(
          "measure",
          hung_from: Declare.choice(Support::KINDS, "track", said: "supports"),
          support_length: Declare.length(least: :over_zero, sane: Length.mm(60_000)),
          opening: Declare.choice(OPENINGS, "pair", said: "openings"),
          overlap: Declare.length(Length::ZERO, sane: Length.mm(2_000)),
          width: Declare.length(least: :over_zero),
          curtains: Declare.count(1, least: 1, most: 60)
        ),
        **NothingCut::LENGTHS,
        **Declare.at("alter", heading: Declare.starting(STARTS_WITH, [HeadingField.new, Fields::REQUIRED]))
      )
      EXAMPLE = {
        "kind" => KIND,
        "existing_length" => "214 cm",
        "hung_from" => "pole",
        "support_length" => "180 cm",
        "overlap" => "8 cm",
        "width" => "200 cm",
        "curtains" => 2,
        "heading" => {"kind" => "pencil_pleat", "fullness" => "2"}
      }.freeze

      def self.place = 60

      # @return [HangOnly, nil] nil where nothing would hang, or the heading wants more than a curtain can say
      #
      #   altered("hang_only").existing_length # => 2140 mm
      def self.build(values, problems)
        values[:heading].refuse(NothingCut::SUPPORT, problems.within(:heading))
        super unless problems.any?
      end

      def figures =
        {drawn_up: drawn_up, fullness: heading.made_fullness(task), heading: heading.figures(task, NothingCut::SUPPORT)}

      def checks =
        if width < drawn_up
          [stop("too_narrow_to_hang", "width", "support_length", width: width, drawn_up: drawn_up)]
        else
          []
        end

      def working =
        [
          *from_the_top_line,
          Line.of(:drawn_up, drawn_up, ["(", support_length, *overlapped, ")", "÷", curtains]),
          Line.of(:fullness_made, figures[:fullness], heading.made_expression(task)),
          *heading.working(task, figures[:heading]).reject { |line| line.name == :tape_length }
        ]

      # @return [Array<Span>] from left to right, each with the edge that leads
      #
      #   altered("hang_only").spans.map(&:hand) # => ["left", "right"]
      def spans
        hands.map { |hand, leads| task.span.with(hand: hand, leads: leads) }
      end

      def across(_curtain) = width

      # @return [Array<Mark>] along the heading, from the leading edge
      #
      #   altered("hang_only").marks.size # => 13
      def marks = heading.marks(task, figures[:heading])

      # @return [Curtain] one of them, as it hangs
      #
      #   altered("hang_only").headed.finished_width # => 940 mm
      def headed = Curtain.standing(task, heading, figures[:heading])

      def hooked_by
        told = figures[:heading]
        pockets = {every: heading.hooked_every, pockets_of: heading.pockets_of(told)}.compact
        {heading: heading, figures: {**told, **pockets}, drawn_up: drawn_up}
      end

      # @return [Hash{Symbol => Integer, Length}] end stops and the gliders' cord, where its heading asks for them
      #
      #   altered("hang_only").of_support # => {}
      def of_support
        stops = heading.ends_on_stops? ? {end_stops: 2} : {}
        heading.hangs_on_cord? ? {**stops, cord: support_length} : stops
      end

      private

      # Two leading edges cross where it opens in the middle.
      def crosses? = opening == "pair" && curtains > 1

      def overlapped = (crosses? && overlap.positive?) ? ["+", overlap] : []

      def drawn_up = (support_length + (crosses? ? overlap : Length::ZERO)) / curtains

      def hands
        named = OwnCurtain.hands(curtains)
        return named.map { |hand| [hand, (opening == "one_way_right") ? :left : :right] } unless crosses?

        named.each_with_index.map { |hand, index| [hand, (index < curtains/2r) ? :right : :left] }
      end

      def task = HeadingTask.standing(drawn_up, width)
    end

    Alterations.register(HangOnly::KIND, HangOnly)
  end
end
