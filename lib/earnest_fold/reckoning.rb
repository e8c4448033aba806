# frozen_string_literal: true

module EarnestFold
  # The core: from a measured window to cloth on the table, by the rules of the trade. Pure computation on the
  # standard library: values in, values out, exact (Rational) and frozen. It knows no requests, rows, files, markup,
  # clocks or words; whoever calls it shows what it found. Wrong documents raise {Invalid} with every {Problem};
  # misuse raises ArgumentError or TypeError.
  module Reckoning
    # The plans of cuts on cloth.
    module Cutting; end
  end
end

# By subject: each names only those before it.
require_relative "reckoning/values/error"

require_relative "reckoning/values/value"
require_relative "reckoning/values/problem"
require_relative "reckoning/values/unit"
require_relative "reckoning/values/length"
require_relative "reckoning/values/loosely"
require_relative "reckoning/values/length_reader"
require_relative "reckoning/values/length_writer"
require_relative "reckoning/values/fullness"
require_relative "reckoning/values/allowance"
require_relative "reckoning/values/money"
require_relative "reckoning/values/exact"
require_relative "reckoning/values/registry"
require_relative "reckoning/values/working"
require_relative "reckoning/values/counting"

require_relative "reckoning/fields/fields"
require_relative "reckoning/fields/field_kinds"
require_relative "reckoning/fields/written"
require_relative "reckoning/fields/length_kind"
require_relative "reckoning/fields/number_kind"
require_relative "reckoning/fields/percent_kind"
require_relative "reckoning/fields/count_kind"
require_relative "reckoning/fields/widths_kind"
require_relative "reckoning/fields/choice_kind"
require_relative "reckoning/fields/name_kind"
require_relative "reckoning/fields/flag_kind"
require_relative "reckoning/fields/text_kind"
require_relative "reckoning/fields/price_kind"
require_relative "reckoning/fields/money_kind"
require_relative "reckoning/fields/date_kind"
require_relative "reckoning/fields/clock_kind"
require_relative "reckoning/fields/count_list_kind"
require_relative "reckoning/fields/pitches_kind"
require_relative "reckoning/fields/list_kind"
require_relative "reckoning/fields/record_kind"
require_relative "reckoning/fields/fullness_kind"
require_relative "reckoning/fields/declare"

require_relative "reckoning/window/support"
require_relative "reckoning/window/opening"
require_relative "reckoning/window/measured_points"
require_relative "reckoning/window/drop"
require_relative "reckoning/window/ordered"
require_relative "reckoning/window/site"
require_relative "reckoning/window/wall"

require_relative "reckoning/cloth/cloth"
require_relative "reckoning/cloth/widths"
require_relative "reckoning/cloth/drop_cut"
require_relative "reckoning/cloth/repeat"
require_relative "reckoning/cloth/widths_to_cut"
require_relative "reckoning/cloth/mass"
require_relative "reckoning/cloth/lining"
require_relative "reckoning/cloth/bagged_lining"

require_relative "reckoning/tapes/tape"

require_relative "reckoning/headings/layout/taped"
require_relative "reckoning/headings/layout/pronged_pockets"
require_relative "reckoning/headings/layout/mark"
require_relative "reckoning/headings/layout/near_count"
require_relative "reckoning/headings/layout/flat_ends"
require_relative "reckoning/headings/layout/counted_flats"
require_relative "reckoning/headings/layout/best_pleats"
require_relative "reckoning/headings/layout/hidden_seams"
require_relative "reckoning/headings/layout/folds"
require_relative "reckoning/headings"
EarnestFold::Reckoning::Headings.load(File.join(__dir__, "reckoning/headings"))

require_relative "reckoning/checks"
EarnestFold::Reckoning::Checks::Kinds.load(File.join(__dir__, "reckoning/checks"))

require_relative "reckoning/small_parts"
EarnestFold::Reckoning::SmallParts.load(File.join(__dir__, "reckoning/small_parts"))

require_relative "reckoning/treatments/methods"
EarnestFold::Reckoning::Methods::Kinds.load(File.join(__dir__, "reckoning/methods"))
require_relative "reckoning/treatments/making"
require_relative "reckoning/treatments/heading_field"
require_relative "reckoning/treatments/curtain"
require_relative "reckoning/treatments/treatment_working"
require_relative "reckoning/treatments/treatment_reckoning"
require_relative "reckoning/treatments/treatment"
require_relative "reckoning/treatments/refusals"
require_relative "reckoning/treatments/treatment_reader"
require_relative "reckoning/treatments/level"
require_relative "reckoning/treatments/sundries"
require_relative "reckoning/treatments/hardware"
require_relative "reckoning/treatments/stack_back"
require_relative "reckoning/treatments/own_curtain"

require_relative "reckoning/alterations"
%w[asked_of_curtain by_pins hem_anew top_anew nothing_cut].each do |part|
  require_relative "reckoning/alterations/asked/#{part}"
end
EarnestFold::Reckoning::Alterations.load(File.join(__dir__, "reckoning/alterations"))

require_relative "reckoning/making_up/standard_times"
require_relative "reckoning/making_up"
require_relative "reckoning/making_up/sections"
require_relative "reckoning/making_up/making_case"
require_relative "reckoning/making_up/learning"
require_relative "reckoning/making_up/altering_case"
require_relative "reckoning/making_up/panel_case"
require_relative "reckoning/making_up/altering_order"
require_relative "reckoning/making_up/step_theme"
Dir[File.join(__dir__, "reckoning/making_up/steps/*.rb")].sort.each { |theme| require theme }
Dir[File.join(__dir__, "reckoning/making_up/altering_steps/*.rb")].sort.each { |theme| require theme }
require_relative "reckoning/making_up/order"

require_relative "reckoning/account/rules"
require_relative "reckoning/account"

require_relative "reckoning/diary/rules"
require_relative "reckoning/diary"

require_relative "reckoning/cutting/demand"
require_relative "reckoning/cutting/repeat_circle"
require_relative "reckoning/cutting/free_among_phased"
require_relative "reckoning/cutting/endless"
require_relative "reckoning/cutting/plan"
require_relative "reckoning/cutting/wishes"
require_relative "reckoning/cutting/patterned/multisets"
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

require_relative "reckoning/jobs/cloth_reckoning"
require_relative "reckoning/jobs/delivery"
require_relative "reckoning/jobs/shelf_piece"
require_relative "reckoning/jobs/choices"
require_relative "reckoning/jobs/job"

require_relative "reckoning/nearness/figure"
require_relative "reckoning/nearness/outcome"
require_relative "reckoning/nearness/search"
require_relative "reckoning/nearness"

require_relative "reckoning/judgement/seen/material"
require_relative "reckoning/judgement/seen/cases"
require_relative "reckoning/judgement/seen/rule"
require_relative "reckoning/judgement"
Dir[File.join(__dir__, "reckoning/judgement/lines/*.rb")].sort.each { |theme| require theme }
EarnestFold::Reckoning::Judgement::Rules.load(File.join(__dir__, "reckoning/judgement"))

require_relative "reckoning/house/house_rules"
