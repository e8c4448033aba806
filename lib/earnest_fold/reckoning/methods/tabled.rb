# frozen_string_literal: true

# Face and lining are laid on the table to its own line, width by width from the leading edge, and the top is trimmed
# for the heading last.
EarnestFold::Reckoning::Methods.define(
  "tabled",
  layers: :lined,
  sewn: {hem: :machine, side: :hand},
  order: [
    :set_out,
    "lay_out_cuts",
    "join_widths",
    "trim_to_width",
    "press_hem",
    "lay_in_chain",
    "compare_hems",
    "sew_hem",
    "join_lining",
    "hem_lining",
    "table_face",
    "table_lining",
    "turn_sides_over",
    "mark_drop",
    "trim_top",
    :top,
    :heading,
    "compare_pair",
    "make_tiebacks",
    "press_and_tag"
  ]
)
