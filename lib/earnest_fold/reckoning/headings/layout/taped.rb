# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # Headings made by a tape along the top: how it is laid and sewn, and how much of it there is to be. A kind that
    # includes this has {FIELDS} among its own.
    module Taped
      # Laid on the turned top and sewn at both edges; or the top row first, right along the fold, with the tape folded
      # down for the second, so that it can't rope.
      SEWN = %w[laid_on top_row_first].freeze
      FIELDS = Fields.new(
        tape_turn_in: Declare.length(Length::ZERO),
        tape_below: Declare.length(nil),
        tape_sewn: Declare.choice(SEWN, "laid_on", said: "tapes_sewn")
      )
      # @return [Boolean]
      #
      #   treatment.heading.taped? # => true
      def taped? = true

      # @return [Boolean] whether its tape is sewn along its top row first, so that it can't rope
      #
      #   treatment.heading.top_row_first? # => false
      def top_row_first? = taped? && tape_sewn == "top_row_first"

      # @return [Array<String>] the steps by which the tape is put on
      #
      #   treatment.heading.put_on # => ["make_frill", "set_frill", "lay_tape", "sew_tape"]
      def put_on = %w[make_frill set_frill] + SEWN_BY.fetch(tape_sewn)

      # @param task [HeadingTask]
      # @return [Length] the tape of one curtain, with what is turned in at both ends
      #
      #   treatment.heading.tape_length(curtain.task) # => 2690 mm
      def tape_length(task) = task.flat + tape_turn_in * 2

      # @return [Line]
      #
      #   treatment.heading.tape_line(curtain.task).value # => 2690 mm
      def tape_line(task) = Line.of(:tape_length, tape_length(task), [task.flat, "+", 2, "×", tape_turn_in])

      SEWN_BY = {
        "laid_on" => %w[lay_tape sew_tape],
        "top_row_first" => %w[sew_top_row trim_turning sew_second_row]
      }.freeze
      private_constant :SEWN_BY
    end

    # Tapes above which a frill may puff up, set between them and the curtain. A kind that includes this has {FIELDS}
    # among its own.
    module Frilled
      FIELDS = Fields.new(puffed_frill: Declare.length(nil, least: :over_zero))

      # @return [Length, nil] how far it stands above the top
      #
      #   headed("pencil_pleat", {"heading/puffed_frill" => "2 cm"}).heading.frill_above # => 20 mm
      def frill_above = puffed_frill
    end

    # Tapes whose hooks can go into one row or another. A kind that includes this has {FIELDS} among its own.
    module HookRows
      FIELDS = Fields.new(
        hook_row: Declare.choice(Tape::ROWS, nil, said: "hook_rows"),
        hook_below: Declare.length(nil)
      )

      # Where the row is known, its own setting speaks before the house's.
      # @return [Length]
      #
      #   treatment.heading.rise(treatment.drop.points, treatment.support) # => 0 mm
      def rise(points, _support) = hook_below ? (tape_below || Length::ZERO) + hook_below : points.hook_drop
    end

    # What stiffens a top that nothing is laid on: so many layers, so deep.
    Stiffening = Value.define(:depth, :layers)

    # Headings whose top may be stiffened. A kind that includes this has {FIELDS} among its own.
    module StiffenedTop
      FIELDS = Fields.new(
        stiffening: Declare.length(nil, least: :over_zero),
        stiffening_layers: Declare.count(1, least: 1, most: 10)
      )

      # @return [Stiffening, nil]
      #
      #   headed("eyelet", {"heading/stiffening" => "10 cm"}).heading.stiffened.depth # => 100 mm
      def stiffened = stiffening && Stiffening.new(depth: stiffening, layers: stiffening_layers)
    end
  end
end
