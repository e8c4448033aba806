# frozen_string_literal: true

# A panel with buckram: everything is pressed and pinned, and sewn last, once round.
EarnestFold::Reckoning::Methods.define(
  "pressed_sewn_last",
  layers: :unlined,
  sewn: {hem: :machine, side: :machine},
  only: ->(heading) { heading.fused? },
  order: [
    :set_out,
    "lay_out_cuts",
    "join_widths",
    "trim_to_width",
    "lock_interlining",
    "press_hem",
    "lay_in_chain",
    "press_sides",
    "put_in_weights",
    "mark_drop",
    :top,
    "compare_hems",
    "sew_all_round",
    :heading,
    "compare_pair",
    "make_tiebacks",
    "press_and_tag"
  ]
)
