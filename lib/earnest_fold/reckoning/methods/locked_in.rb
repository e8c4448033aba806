# frozen_string_literal: true

# The lining, hemmed by itself, is laid on the face and locked to its seams by hand.
EarnestFold::Reckoning::Methods.define(
  "locked_in",
  layers: :lined,
  usual: true,
  order: [
    :set_out,
    "lay_out_cuts",
    "join_widths",
    "trim_to_width",
    "press_hem",
    "lay_in_chain",
    "turn_sides",
    "put_in_weights",
    "compare_hems",
    "sew_hem",
    "join_lining",
    "hem_lining",
    "lock_in_lining",
    "slip_lining",
    "mark_drop",
    :top,
    :heading,
    "compare_pair",
    "make_tiebacks",
    "press_and_tag"
  ]
)
