# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # The order of work of an alteration; what doesn't apply is left out. Where a heading is put on, its own steps
      # stand at :heading ({Heading#made_by}).
      ALTERING_ORDER = [
        "note_condition",
        "measure_again",
        "unpick_hem",
        "take_off_old_heading",
        "join_cloths",
        "mark_lines",
        "compare_lines",
        "cut_off",
        "sew_top_tuck",
        "cut_top_strip",
        "into_channel",
        "sew_tuck",
        "cut_strip",
        "press_seam_down",
        "add_to_foot",
        "press_new_hem",
        "compare_edges",
        "sew_new_hem",
        "stiffen_new_top",
        "make_new_top",
        "sew_casing",
        "put_on_clips",
        :heading,
        "draw_up_as_it_is",
        "hooks_in_as_it_is",
        "check_length",
        "press_and_hand_back"
      ].freeze
    end
  end
end
