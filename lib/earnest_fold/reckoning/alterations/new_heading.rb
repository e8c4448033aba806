# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # A plain flat panel given a heading: a tape, pleater hooks or whatever the heading's kind is. Its made hem stays
    # the hem, so the new top is measured from there; the flat width is what it is, and the heading makes of it what
    # it can.
    class NewHeading < Value.define(
      :existing_length,
      :wanted_length,
      :stand_up,
      :panel_width,
      :finished_width,
      :old_heading,
      :heading
    )
      include Alteration

      KIND = "new_heading"
      # With the house's own figures for its kind.
      STARTS_WITH = {"kind" => "pencil_pleat", "fullness" => "2"}.freeze
      FIELDS = Fields.new(
        **AskedOfCurtain::LENGTHS,
        **Declare.at(
          "measure",
          panel_width: Declare.length(least: :over_zero),
          finished_width: Declare.length(least: :over_zero)
        ),
        **Declare.at("measure", old_heading: Declare.flag(false)),
        **Declare.at("alter", heading: Declare.starting(STARTS_WITH, [HeadingField.new, Fields::REQUIRED]))
      )
      EXAMPLE = {
        "kind" => KIND,
        "existing_length" => "230 cm",
        "wanted_length" => "214 cm",
        "panel_width" => "260 cm",
        "finished_width" => "120 cm",
        "heading" => {
          "kind" => "pleater_hook",
          "fullness" => "2",
          "pocket_pitch" => "1.8 cm",
          "skips" => [3, 3, 3],
          "edge" => 3,
          "top_turn" => "2 cm"
        }
      }.freeze

      def self.place = 80

      # @return [NewHeading, nil] nil where nothing would be left to hang, or the heading wants more than a panel can
      #   say
      #
      #   altered("new_heading").heading.fullness.ratio # => (2/1)
      def self.build(values, problems)
        values[:heading].refuse(NothingCut::SUPPORT, problems.within(:heading))
        super unless problems.any?
      end

      def figures =
        {
          top_allowance: top,
          cut_line: cut_line,
          remnant: existing_length - cut_line,
          fullness: heading.made_fullness(task),
          heading: heading.figures(task, NothingCut::SUPPORT)
        }

      def checks
        [
          (cloth_too_short if cut_line > existing_length),
          (stop("no_pleats", "panel_width", "finished_width") if heading.pleated? && panel_width <= finished_width),
          *misses_width
        ].compact
      end

      def working
        [
          *from_the_top_line,
          Line.of(:cut_from_hem, cut_line, [from_the_top, "+", top]),
          Line.of(:fullness_made, figures[:fullness], heading.made_expression(task)),
          *heading.working(task, figures[:heading])
        ]
      end

      # @param curtain [OwnCurtain]
      #
      #   altered("new_heading").lines(nil).map(&:name) # => [:top_fold, :cut_line]
      def lines(_curtain) = [line(:top_fold, :fold, from_the_top, :hem), line(:cut_line, :cut, cut_line, :hem)]

      def across(_curtain) = panel_width

      def edges = {top: :new, sides: :kept, hem: :kept}

      def left_over(_curtain) = [existing_length - cut_line, Length::ZERO].max

      def motif_after(place, _curtain) =
        (place - (existing_length - from_the_top)).then { |after| after.negative? ? nil : after }

      # @return [Array<Mark>] along the heading, from the leading edge
      #
      #   altered("new_heading").marks.size # => 9
      def marks = heading.marks(task, figures[:heading])

      # @return [Curtain] the panel as a curtain with that heading
      #
      #   altered("new_heading").headed.finished_width # => 1200 mm
      def headed = Curtain.standing(task, heading, figures[:heading])

      # @return [HeadingTask] the panel as the heading sees it
      #
      #   altered("new_heading").task.flat # => 2600 mm
      def task = HeadingTask.standing(finished_width, panel_width)

      def new_top = top

      def old_heading_off? = old_heading

      def heading_put_on =
        {
          finished_width: finished_width,
          **figures[:heading].select { |_, value| value.is_a?(Length) || value.is_a?(Integer) }
        }

      private

      def cloth_too_short =
        stop("cloth_too_short", "wanted_length", "existing_length", missing: cut_line - existing_length)

      # Hooks in pockets draw it up to what the pockets give.
      def misses_width
        made = figures[:heading][:heading_width] or return []
        return [] if (made - finished_width).abs <= finished_width / 20

        [
          Check.new(
            code: Checks::HeadingMissesWidth::CODE,
            level: Checks::HeadingMissesWidth::LEVEL,
            data: {made: made, wanted: finished_width},
            at: %w[heading.skips finished_width]
          )
        ]
      end

      def top = heading.top_allowance(NothingCut::SUPPORT)

      def cut_line = from_the_top + top
    end

    Alterations.register(NewHeading::KIND, NewHeading)
  end
end
