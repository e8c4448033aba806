# frozen_string_literal: true

# Both hems are sewn in the middle alone; sides and top are sewn right sides together, turned through, and the corners
# at the foot finished by hand. What is stiffened by buckram can't be turned through.
EarnestFold::Reckoning::Methods.define(
  "bagged_middle_first",
  layers: :lined,
  sewn: {hem: :machine, side: :machine},
  only: ->(heading) { !heading.fused? },
  brings: {
    "metric" => {
      "making.side" => {"kind" => "single", "depth" => "3.5 cm", "turn_under" => "1.5 cm"},
      "lining.inset" => "3.5 cm",
      "lining.side_turn" => "1.5 cm",
      "lining.lift" => "3 cm",
      "lining.hem" => {"kind" => "single", "depth" => "5 cm", "turn_under" => "1 cm"}
    },
    "inches" => {
      "making.side" => {"kind" => "single", "depth" => "1 3/8 in", "turn_under" => "5/8 in"},
      "lining.inset" => "1 3/8 in",
      "lining.side_turn" => "5/8 in",
      "lining.lift" => "1 1/8 in",
      "lining.hem" => {"kind" => "single", "depth" => "2 in", "turn_under" => "3/8 in"}
    }
  },
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
    "seam_across_top",
    "finish_corners",
    :heading,
    "compare_pair",
    "press_and_tag"
  ]
)
