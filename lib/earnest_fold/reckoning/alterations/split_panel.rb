# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # One long panel made into two or more. The first keeps the heading and gets a new hem, the last keeps the old hem
    # where it was not let down, any between need both allowances.
    class SplitPanel < Value.define(
      :existing_length,
      :wanted_length,
      :stand_up,
      :existing_hem,
      :let_down,
      :hem,
      :sewn_by,
      :top_allowance,
      :top_made,
      :clips,
      :top_stiffening
    )
      include Alteration
      include HemAnew
      include TopAnew

      KIND = "split_panel"
      FIELDS = Fields.new(
        **AskedOfCurtain::LENGTHS,
        **Declare.at("measure", existing_hem: Declare.allowance),
        **Declare.at(
          "alter",
          let_down: AskedOfCurtain::LET_DOWN,
          hem: AskedOfCurtain::ANEW,
          top_allowance: AskedOfCurtain::TOP
        ),
        **HemAnew::FIELDS,
        **TopAnew::FIELDS
      )
      EXAMPLE = {
        "kind" => KIND,
        "existing_length" => "252 cm",
        "wanted_length" => "104 cm",
        "hem" => {"kind" => "double", "depth" => "8 cm"},
        "top_allowance" => "14 cm"
      }.freeze

      def self.place = 90

      def figures = {pieces: pieces, left_over: available - taken(pieces)}

      def checks
        return [] unless pieces < 2

        [stop("one_piece_only", "wanted_length", "hem.depth", needed: taken(2), available: available)]
      end

      def working
        [
          *from_the_top_line,
          Line.of(:first_piece, first, [from_the_top, "+", hem.taken]),
          Line.of(:last_piece, last, [top_allowance, "+", from_the_top, *(["+", hem.taken] if let_down)]),
          Line.of(:left_over, figures[:left_over], [available, "−", taken(pieces)])
        ]
      end

      def contradictions = hem_too_deep(hem, "hem.depth")

      # The first piece from the top edge, those between below it, the last from the foot; what is over lies above the
      # last.
      # @param curtain [OwnCurtain]
      #
      #   altered("split_panel").lines(own_curtains).map(&:name) # => [:new_fold, :piece_1, :last_piece]
      def lines(_curtain)
        return [] if pieces < 2

        upper = (0..pieces - 2).map { |count| line(:"piece_#{count + 1}", :cut, first + between * count) }
        [
          line(:new_fold, :fold, from_the_top),
          *upper,
          *(line(:last_piece, :cut, last, :hem) if figures[:left_over].positive?)
        ]
      end

      def extent(_curtain) = available

      # The first keeps its top, the last the hem that came; where two meet they are made anew.
      #
      #   altered("split_panel").edges # => {:top=>:first_kept, :sides=>:kept, :hem=>:last_kept}
      def edges
        return {top: :kept, sides: :kept, hem: let_down ? :new : :kept} if pieces < 2

        {top: :first_kept, sides: :kept, hem: let_down ? :new : :last_kept}
      end

      def left_over(_curtain) = figures[:left_over]

      def new_hem = hem

      def pieces_made = [pieces, 1].max

      # The last keeps the hem that came, where it was not let down.
      #
      #   altered("split_panel").pieces_hemmed # => [1]
      def pieces_hemmed = if pieces > 1
                            (1..(let_down ? pieces : pieces - 1)).to_a
                          end

      # The first keeps the heading.
      #
      #   altered("split_panel").pieces_topped # => [2]
      def pieces_topped = (pieces > 1) ? (2..pieces).to_a : nil

      private

      def first = from_the_top + hem.taken

      def between = top_allowance + first

      # The old hem serves the last piece where it was not let down.
      def last = let_down ? between : top_allowance + from_the_top

      # The most that fit: none, the first alone, or the first and the last with as many between as there is cloth for.
      def pieces
        return (available < first) ? 0 : 1 if available < first + last

        ((available - first - last) / between).floor + 2
      end

      def taken(count)
        return first * count if count < 2

        first + last + between * (count - 2)
      end
    end

    Alterations.register(SplitPanel::KIND, SplitPanel)
  end
end
