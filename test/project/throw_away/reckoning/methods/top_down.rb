# frozen_string_literal: true

# One layer, from the top down.
EarnestFold::Reckoning::Methods.define(
  "top_down",
  layers: :unlined,
  order: [
    :set_out, "lay_out_cuts", "join_widths", "trim_to_width", "turn_sides", "mark_drop", :top, :heading, "press_hem",
    "put_in_weights", "compare_hems", "sew_hem", "compare_pair", "press_and_tag"
  ]
)
