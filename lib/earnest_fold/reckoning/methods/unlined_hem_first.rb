# frozen_string_literal: true

# One layer; the hem is made before the sides and the drop is measured from it.
EarnestFold::Reckoning::Methods.define(
  "unlined_hem_first",
  layers: :unlined,
  usual: true,
  order: [
    :set_out,
    "lay_out_cuts",
    "join_widths",
    "trim_to_width",
    "lock_interlining",
    "press_hem",
    "lay_in_chain",
    "turn_sides",
    "compare_hems",
    "sew_hem",
    "mark_drop",
    :top,
    :heading,
    "compare_pair",
    "make_tiebacks",
    "press_and_tag"
  ]
)
