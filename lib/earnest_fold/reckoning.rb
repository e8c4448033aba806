# frozen_string_literal: true

module EarnestFold
  # The core: from a measured window to cloth on the table, by the rules of the trade. Pure computation on the standard
  # library: values in, values out, exact (Rational) and frozen. It knows no requests, rows, files, markup, clocks
  # or words;
  # whoever calls it shows what it found. Wrong documents raise {Invalid} with every {Problem}; misuse raises
  # ArgumentError or
  # TypeError.
  module Reckoning
    # The plans of cuts on cloth.
    module Cutting; end
  end
end

require_relative "error"
require_relative "reckoning/value"
require_relative "reckoning/problem"
require_relative "reckoning/unit"
require_relative "reckoning/length"
require_relative "reckoning/length_reader"
require_relative "reckoning/length_writer"
require_relative "reckoning/fullness"
require_relative "reckoning/allowance"
require_relative "reckoning/registry"
require_relative "reckoning/fields"
require_relative "reckoning/exact"
require_relative "reckoning/field_kinds"
require_relative "reckoning/declare"
require_relative "reckoning/support"
require_relative "reckoning/opening"
require_relative "reckoning/measured_points"
require_relative "reckoning/drop"
require_relative "reckoning/cloth"
require_relative "reckoning/making"
require_relative "reckoning/widths"
require_relative "reckoning/drop_cut"
require_relative "reckoning/repeat"
require_relative "reckoning/widths_to_cut"
require_relative "reckoning/mass"
require_relative "reckoning/working"
require_relative "reckoning/layout/flat_ends"
require_relative "reckoning/layout/counted_flats"
require_relative "reckoning/layout/best_pleats"
require_relative "reckoning/layout/hidden_seams"
require_relative "reckoning/layout/folds"
require_relative "reckoning/headings"
EarnestFold::Reckoning::Headings.load(File.join(__dir__, "reckoning/headings"))
require_relative "reckoning/heading_field"
require_relative "reckoning/curtain"
require_relative "reckoning/lining"
require_relative "reckoning/site"
require_relative "reckoning/wall"
require_relative "reckoning/level"
require_relative "reckoning/treatment_working"
require_relative "reckoning/treatment_reckoning"
require_relative "reckoning/treatment"
require_relative "reckoning/refusals"
require_relative "reckoning/checks"
EarnestFold::Reckoning::Checks::Kinds.load(File.join(__dir__, "reckoning/checks"))
require_relative "reckoning/sundries"
require_relative "reckoning/hardware"
require_relative "reckoning/money"
require_relative "reckoning/making_up/standard_times"
require_relative "reckoning/account/rules"
require_relative "reckoning/diary/rules"
require_relative "reckoning/house_rules"
require_relative "reckoning/account"
require_relative "reckoning/diary"
require_relative "reckoning/stack_back"
require_relative "reckoning/judgement"
EarnestFold::Reckoning::Judgement::Rules.load(File.join(__dir__, "reckoning/judgement"))
require_relative "reckoning/own_curtain"
require_relative "reckoning/alterations"
EarnestFold::Reckoning::Alterations.load(File.join(__dir__, "reckoning/alterations"))
require_relative "reckoning/small_parts"
EarnestFold::Reckoning::SmallParts.load(File.join(__dir__, "reckoning/small_parts"))
require_relative "reckoning/bagged_lining"
require_relative "reckoning/cutting/demand"
require_relative "reckoning/cutting/repeat_circle"
require_relative "reckoning/cutting/free_among_phased"
require_relative "reckoning/cutting/endless"
require_relative "reckoning/cutting/plan"
require_relative "reckoning/cutting/wishes"
require_relative "reckoning/cutting/multisets"
require_relative "reckoning/cutting/piece_fill"
require_relative "reckoning/cutting/batch_fill"
require_relative "reckoning/cutting/stretches"
require_relative "reckoning/cutting/fullest"
require_relative "reckoning/cutting/lay_plain"
require_relative "reckoning/cutting/patterned"
require_relative "reckoning/cutting/large_search"
require_relative "reckoning/cutting/plan_task"
require_relative "reckoning/cutting/every_way"
require_relative "reckoning/cutting/longest_first"
require_relative "reckoning/cutting/large_plan"
require_relative "reckoning/cutting/planner"
require_relative "reckoning/cutting/piece_life"
require_relative "reckoning/cutting/leftovers"
require_relative "reckoning/cutting/small_cuts"
require_relative "reckoning/cutting/parts_wanted"
require_relative "reckoning/cloth_reckoning"
require_relative "reckoning/cutting/delivery"
require_relative "reckoning/cutting/shelf_piece"
require_relative "reckoning/making_up"
require_relative "reckoning/making_up/making_case"
require_relative "reckoning/making_up/learning"
require_relative "reckoning/making_up/altering_case"
require_relative "reckoning/making_up/order"
EarnestFold::Reckoning::MakingUp::Kinds.load(File.join(__dir__, "reckoning/making_up/steps"))
EarnestFold::Reckoning::MakingUp::AlteringKinds.load(File.join(__dir__, "reckoning/making_up/altering"))
require_relative "reckoning/choices"
require_relative "reckoning/job"
