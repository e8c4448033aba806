# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # Of tapes, cords, hooks and rings.
    module Judgement
      # Pockets outward, from a pocket.
      say_at_work("tape_side", on: on(:lay, layer: :tape)) do |seen, _|
        next unless seen.curtains.first.heading[:hooks]
        next {form: :looped} if seen.heading.hooked_as == :looped

        {form: seen.heading.top_row_first? ? :top_row : nil}.compact
      end

      # A tape is never cut through a pocket.
      say_at_work("tape_end", on: on(:lay, layer: :tape)) { {} }

      # Two rows of pins, one at each edge.
      say_at_work("two_rows_of_pins", on: on(:pin, layer: :tape)) { |seen, _| {} unless seen.heading.top_row_first? }

      # All hook places are laid out before anything is sewn.
      say_at_work("try_before_sewing", on: on(:pin, layer: :tape)) do |seen, _|
        hooks = seen.curtains.first.heading[:hooks]
        {hooks: hooks} if hooks
      end

      # Cords are knotted at the leading edge.
      say_at_work("cords_knotted", on: on(:lay, layer: :tape)) { |seen, _| {} if seen.heading.corded? }

      # Both long edges in one direction.
      say_at_work("both_rows_one_way", on: on(:sew, layer: :tape, by: :machine)) { {} }

      # A tape that is pulled ropes; one whose top row is sewn first can't.
      say_at_work("rope_tape", on: on(:sew, layer: :tape, by: :machine)) do |seen, _|
        {} unless seen.heading.top_row_first?
      end

      # Cords are secured at the far end before they are drawn.
      say_at_work("far_end_first", on: on(:draw, layer: :tape)) { {} }

      # Drawn up on a flat board.
      say_at_work("flat_to_draw", on: on(:draw, layer: :tape)) do |seen, _|
        {form: (seen.curtains.any? { |curtain| curtain.seams.positive? }) ? :seams : nil}.compact
      end

      # The knot past the last hook.
      say_at_work("knot_past_hook", on: on(:draw, layer: :tape)) { {} }

      # A hook goes into the pocket, never round a cord.
      say_at_work("pocket_not_cord", on: on(:set, layer: :tape)) { |seen, _| {} if seen.heading.corded? }

      # Both ends get one.
      say_at_work("first_and_last_pocket", on: on(:set, layer: :tape)) do |seen, _|
        {} if seen.heading.hooked_as == :do
      end

      # The prongs of a hook go up together.
      say_at_work("pockets_together", on: on(:set, layer: :tape)) { |_, touch| {} if touch.figures[:pockets_of] }

      # An eyelet's hole is drawn, and cut inside the line.
      say_at_work("ring_drawn", on: on(:cut, at: :heading)) do |_, touch|
        touch.figures[:eyelets] && {eyelets: touch.figures[:eyelets]}
      end

      # The first tab of an eyelet tape stands outside.
      say_at_work("tab_outside", on: on(:set, at: :heading, layer: :face)) do |seen, touch|
        {} if touch.figures[:eyelets] && seen.heading.taped?
      end

      # Rings and grommets are heard to snap.
      say_at_work("snap_and_twist", on: on(:set, at: :heading, layer: %i[face webbing])) do |_, touch|
        {} if touch.figures[:eyelets] || touch.figures[:grommets]
      end

      # An honest pleat takes the whole of its take-up.
      say_at_work("honest_pleat", on: on(:sew, layer: :webbing)) do |_, touch|
        touch.figures[:take_up] && {take_up: touch.figures[:take_up]}
      end
    end
  end
end
