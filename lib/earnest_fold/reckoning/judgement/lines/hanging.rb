# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # At the window, when it hangs.
    module Judgement
      # A bow and no knot: it must open flat for cleaning.
      say("cords_kept", "hanging") { |seen| {} if seen.reckoning && seen.heading.corded? }

      # Folds are set by hand and left a day or two.
      say("dress_and_set", "hanging") { |seen| {} if seen.reckoning && seen.heading.dressed? }

      # What is in the wall is looked for before it is drilled.
      caution("drill_behind", "hanging") { |seen| {} if seen.reckoning }

      # Some panels hang another way too.
      say("rehang_way", "hanging") { |seen| {} if seen.reckoning && seen.heading.hangs_either_way? }

      # Open hooks let go.
      say("s_hooks", "hanging") { |seen| {} if seen.reckoning && seen.heading.hangs_from_open_hooks? }

      # A steady platform, and the weight carried.
      caution(
        "support_weight",
        "hanging",
        made: ->(seen) { {} if seen.reckoning },
        altered: ->(_) { {} }
      )

      # A finished curtain carries its tag.
      say(
        "tag_it",
        "hanging",
        "account",
        made: ->(seen) { {drop: seen.reckoning.finished_drop} if seen.reckoning },
        altered: ->(seen) { {drop: seen.alteration.length_at_last} }
      )
    end
  end
end
