# frozen_string_literal: true

# Both hems are sewn in the middle alone; sides and top are sewn right sides together, turned through, and the corners
# at the foot finished by hand. What is stiffened by buckram can't be turned through.
EarnestFold::Reckoning::Methods.define(
  "bagged_middle_first",
  layers: :lined,
  sewn: {hem: :machine, side: :machine},
  only: ->(heading) { !heading.fused? },
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
    "sew_hem_middle",
    "join_lining",
    "hem_lining_middle",
    "trim_lining",
    "bag_lining",
    "match_centres",
    "mark_drop",
    "stiffen_top",
    "seam_across_top",
    "finish_corners",
    :heading,
    "compare_pair",
    "make_tiebacks",
    "press_and_tag"
  ]
)
