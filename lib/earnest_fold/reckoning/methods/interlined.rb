# frozen_string_literal: true

# The interlining, cut to the finished size, is locked to the face first; hem and sides are folded over it.
EarnestFold::Reckoning::Methods.define(
  "interlined",
  layers: :interlined,
  usual: true,
  sewn: {hem: :hand, side: :hand},
  order: [
    :set_out,
    "lay_out_cuts",
    "join_widths",
    "trim_to_width",
    "lock_interlining",
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
