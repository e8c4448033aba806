# frozen_string_literal: true

# The lining goes right down to the fold, unhemmed, and the face's hem is folded up over its raw foot.
EarnestFold::Reckoning::Methods.define(
  "lining_under_hem",
  layers: :lined,
  sewn: {hem: :hand, side: :hand},
  brings: {
    "metric" => {"lining.lift" => "3 mm", "lining.hem" => {"kind" => "none"}},
    "inches" => {"lining.lift" => "1/8 in", "lining.hem" => {"kind" => "none"}}
  },
  order: [
    :set_out,
    "lay_out_cuts",
    "join_widths",
    "trim_to_width",
    "turn_sides",
    "join_lining",
    "lock_in_lining",
    "lay_in_chain",
    "put_in_weights",
    "mitre_corners",
    "fold_hem_over",
    "compare_hems",
    "sew_hem",
    "slip_lining",
    "mark_drop",
    :top,
    :heading,
    "compare_pair",
    "make_tiebacks",
    "press_and_tag"
  ]
)
