# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # A heading tape as a thing of its own. Its rows of pockets are given by how far each lies below the tape's upper
    # edge (`row_top`, `row_middle`, `row_bottom`); `below` is how far the tape is laid below the curtain's top edge,
    # `turn_in` what is turned in at each end, `pitches` those that it is made with, several on a wave tape.
    class Tape < Value.define(
      :id,
      :name,
      :kind,
      :depth,
      :below,
      :turn_in,
      :pocket_pitch,
      :pockets_a_hook,
      :pitches,
      :row_top,
      :row_middle,
      :row_bottom,
      :price
    )
      ROWS = %w[top middle bottom].freeze
      # What is asked of each kind beside its name: what doesn't apply isn't.
      ALIKE = %w[depth below turn_in].freeze
      IN_ROWS = ROWS.map { |row| "row_#{row}" }.freeze
      ASKED = {
        "corded" => [*ALIKE, "pocket_pitch", "pockets_a_hook", *IN_ROWS],
        "pocketed" => [*ALIKE, "pocket_pitch", *IN_ROWS],
        "fixed_pitch" => [*ALIKE, "pitches", *IN_ROWS],
        "wave" => [*ALIKE, "pitches"],
        "eyelet" => [*ALIKE, "pitches"]
      }.transform_values { |names| ["name", "kind", *names, "price"].freeze }.freeze
      FIELDS = Fields.new(
        id: Declare.id,
        name: Declare.text(Declare::REQUIRED, least: 1, most: 60),
        kind: Declare.choice(ASKED.keys, said: "tape_kinds"),
        depth: Declare.length(nil, least: :over_zero),
        below: Declare.length(nil),
        turn_in: Declare.length(nil),
        pocket_pitch: Declare.length(nil, least: :over_zero),
        pockets_a_hook: Declare.count(nil, least: 1, most: 1000),
        pitches: [FieldKinds::PitchesKind.new, [].freeze],
        row_top: Declare.length(nil),
        row_middle: Declare.length(nil),
        row_bottom: Declare.length(nil),
        price: [FieldKinds::PriceKind.new, nil]
      )
      # What of it each figure of a heading is, where the heading has that figure.
      FILLS = {
        "tape_below" => ->(tape, _) { tape["below"] },
        "tape_turn_in" => ->(tape, _) { tape["turn_in"] },
        "pocket_pitch" => ->(tape, _) { tape["pocket_pitch"] },
        "pockets_a_hook" => ->(tape, _) { tape["pockets_a_hook"] },
        "hook_below" => ->(tape, heading) { heading["hook_row"] && tape["row_#{heading["hook_row"]}"] }
      }.freeze
      private_constant :ALIKE, :IN_ROWS

      # The figures of a heading that a tape says, for as long as nobody says otherwise. All of it as it is written or
      # kept, not as it is read.
      # @param tape [Hash]
      # @param heading [Hash] that takes the tape
      # @param of_kind [Class] its kind
      # @return [Hash{String => Object}] by the heading's field
      #
      #   Tape.figures({"below" => "1 cm"}, {}, Headings["pencil_pleat"]) # => {"tape_below"=>"1 cm"}
      def self.figures(tape, heading, of_kind)
        filled = of_kind.filled_by_tape
        first = Array(tape["pitches"]).first
        pitch = (of_kind.tape_pitch && first.is_a?(Hash)) ? {of_kind.tape_pitch.to_s => first["pitch"]} : {}
        FILLS.slice(*filled).transform_values { |fill| fill.call(tape, heading) }.merge(pitch).compact
      end

      # @param length [Length] of it
      # @return [Rational, nil] what that costs, unrounded; nil where no price is known
      #
      #   Tape.new(**Tape::FIELDS.names.to_h { |name| [name, nil] }, price: 6/5r).cost(Length.cm(250)) # => (3/1)
      def cost(length) = price && (price * length.mm / 1000)
    end
  end
end
