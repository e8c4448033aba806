# frozen_string_literal: true

# One layer; the sides are made before the hem, whose ends then close inside the fold. A heading whose hem comes last,
# as a rod pocket's does for its weight, is made before it.
hem = %w[press_hem lay_in_chain put_in_weights compare_hems sew_hem]
top = ["mark_drop", :top, :heading]

EarnestFold::Reckoning::Methods.define(
  "unlined_sides_first",
  layers: :unlined,
  order: ->(heading) {
    [
      :set_out,
      "lay_out_cuts",
      "join_widths",
      "trim_to_width",
      "lock_interlining",
      "turn_sides",
      *(heading.hem_last? ? top + hem : hem + top),
      "compare_pair",
      "make_tiebacks",
      "press_and_tag"
    ]
  }
)
