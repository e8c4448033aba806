# frozen_string_literal: true

# Face and lining are hemmed before they meet, sewn together at the sides and turned; the face wraps to the back.
EarnestFold::Reckoning::Methods.define(
  "bagged_hem_first",
  layers: :lined,
  sewn: {hem: :machine, side: :machine},
  brings: EarnestFold::Reckoning::Methods::BAG,
  order: [
    :set_out,
    "lay_out_cuts",
    "join_widths",
    "trim_to_width",
    "press_hem",
    "lay_in_chain",
    "put_in_weights",
    "compare_hems",
    "sew_hem",
    "join_lining",
    "hem_lining",
    "trim_lining",
    "bag_lining",
    "match_centres",
    "mark_drop",
    :top,
    :heading,
    "tack_flap",
    "compare_pair",
    "make_tiebacks",
    "press_and_tag"
  ]
)
