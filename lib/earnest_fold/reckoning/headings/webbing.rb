# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # Webbing and grommets, for halls and stages: grommets evenly along the heading, a pleat behind each.
    class Webbing < Value.define(:fullness, :top_turn, :eyelet_spacing, :grommet, :fastening)
      include Heading
      include FlatEnds

      KIND = "webbing"
      # What it is tied or snapped to its support by, one in each grommet.
      FASTENINGS = %w[none ties snaps].freeze
      FIELDS = Fields.new(
        fullness: Declare.fullness,
        top_turn: Declare.length(Length::ZERO),
        eyelet_spacing: Declare.pitch(Length.mm(305)),
        grommet: Declare.length(nil, least: :over_zero),
        fastening: Declare.choice(FASTENINGS, "none", said: "fastenings")
      )
      EXAMPLE = {
        "kind" => KIND,
        "fullness" => {"percent_added" => 75},
        "top_turn" => "4 in",
        "eyelet_spacing" => "12 in"
      }.freeze

      # Ties and snaps don't let go.
      #
      #   headed("webbing").heading.hangs_from_open_hooks? # => true
      def hangs_from_open_hooks? = fastening == "none"

      def made_by = super.merge(heading: %w[sew_webbing form_pleats set_grommets put_in_fastenings])

      def sewn_by_machine? = true

      def figures(task, _support)
        eyelets = spacings(task).ceil + 1
        {eyelets: eyelets, **((fastening == "none") ? {} : {fastening.to_sym => eyelets})}
      end

      def dictated(figures) = figures.slice(:eyelets)

      def counted_from(task, _figures) = [spacings(task)]

      def marks(task, figures)
        Counting
          .evenly(figures[:eyelets], task.span.finished_width)
          .map { |at| Mark.new(kind: :eyelet, along: :hung, at: at, to: nil) }
      end

      def pleated? = true

      def folds(_task, figures) = figures[:eyelets]

      # A pleat behind each grommet, folded in two and laid open.
      #
      #   made = headed("webbing").reckon.curtains.first
      #   headed("webbing").heading.fold_depth(made.task, made.heading) # => 82 mm
      def fold_depth(task, figures) =
        ([task.flat - task.span.finished_width, Length::ZERO].max / (4 * figures[:eyelets])).ceil_to(Length.mm(1))

      def working(task, figures)
        [Line.of(:grommets, figures[:eyelets], [task.span.finished_width, "÷", eyelet_spacing, "↑", "+", 1])]
      end

      private

      def spacings(task) = task.span.finished_width / eyelet_spacing
    end

    Headings.register(Webbing::KIND, Webbing)
  end
end
