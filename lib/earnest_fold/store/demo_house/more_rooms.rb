# frozen_string_literal: true

module EarnestFold
  module Store
    class DemoHouse
      # The rest of the house, so that every heading, method and alteration is somewhere: as {Rooms} has them, with a
      # window that was typed as a newcomer would, and one that nobody has measured yet.
      module MoreRooms
        READ = ->(*readings) { {"readings" => readings, "taken_at" => %w[left middle right].first(readings.size)} }
        DOUBLE = ->(depth) { {"kind" => "double", "depth" => depth} }
        HEM = ->(depth) { {"hem" => DOUBLE.call(depth), "side" => DOUBLE.call("2 cm")} }
        LINED = {
          "cloth" => "sateen",
          "lift" => "2.5 cm",
          "inset" => "2 cm",
          "side_turn" => "2 cm",
          "top" => "2 cm",
          "hem" => {"kind" => "double", "depth" => "5 cm"}
        }.freeze
        private_constant :READ, :DOUBLE, :HEM, :LINED
        SNUG = {
          "support" => {"kind" => "pole", "diameter" => "2.8 cm"},
          "opening" => {"kind" => "dress_pair", "cover" => "44 cm"},
          "drop" => READ.call("202 cm", "202.4 cm").merge("offset" => "-1 cm"),
          "heading" => {"kind" => "fixed_pitch", "fullness" => 3, "pitch" => "10 cm", "top_turn" => "7 cm"},
          "making" => HEM.call("8 cm").merge("seam" => "1.5 cm"),
          "face" => "ferry",
          "lining" => LINED,
          "method" => "bagged_hem_first",
          "notes" => "They are never drawn: the blind does that."
        }.freeze
        STUDIO = {
          "support" => {"kind" => "rod", "length" => "312 cm", "diameter" => "1.2 cm"},
          "opening" => {"kind" => "panels", "panels" => 3},
          "drop" => READ.call("168 cm", "168.3 cm"),
          "heading" => {
            "kind" => "rod_pocket",
            "fullness" => "2",
            "frill" => "2 cm",
            "pocket" => "4 cm",
            "turn_under" => "1.5 cm"
          },
          "making" => HEM.call("6 cm").merge("seam" => "1 cm"),
          "face" => "voile",
          "run" => "railroad",
          "method" => "unlined_sides_first"
        }.freeze
        GABLE = {
          "support" => {"kind" => "pole", "length" => "124 cm", "diameter" => "3 cm"},
          "opening" => {"kind" => "pair"},
          "drop" => READ.call("150 cm", "151.5 cm").merge("offset" => "-2 cm"),
          "heading" => {
            "kind" => "tab_top",
            "fullness" => "1.5",
            "top_turn" => "1.5 cm",
            "tab_width" => "5 cm",
            "tab_drop" => "5 cm",
            "tab_spacing" => "16 cm"
          },
          "making" => HEM.call("7 cm").merge("seam" => "1.5 cm"),
          "face" => "stripe",
          "lining" => LINED,
          "method" => "bagged_middle_first"
        }.freeze
        DORMER = {
          "support" => {"kind" => "pole", "length" => "96 cm", "diameter" => "2 cm", "carriers" => 20},
          "opening" => {"kind" => "one_way_right"},
          "drop" => READ.call("140.5 cm", "140 cm"),
          "heading" => {"kind" => "clip_ring", "fullness" => "1.5", "top_turn" => "5 cm", "clip_spacing" => "14 cm"},
          "making" => HEM.call("5 cm"),
          "face" => "ferry",
          "method" => "unlined_hem_first"
        }.freeze
        STAIR_HEAD = {
          "support" => {"kind" => "track", "length" => "210 cm", "carriers" => 40},
          "opening" => {"kind" => "pair"},
          "overlap" => "8 cm",
          "drop" => READ.call("228 cm", "227.2 cm").merge("offset" => "-1 cm"),
          "heading" => {
            "kind" => "pleater_hook",
            "fullness" => "2.2",
            "pocket_pitch" => "1.8 cm",
            "skips" => [3, 3, 3],
            "edge" => 3,
            "top_turn" => "2 cm"
          },
          "making" => HEM.call("8 cm").merge("seam" => "1.5 cm", "width_step" => "half"),
          "face" => "stripe",
          "lining" => LINED,
          "method" => "lining_under_hem"
        }.freeze
        DIVIDING = {
          "support" => {"kind" => "batten", "length" => "5.6 m"},
          "opening" => {"kind" => "one_way_left"},
          "drop" => READ.call("3.42 m", "3.4 m").merge("offset" => "2 cm"),
          "heading" => {
            "kind" => "webbing",
            "fullness" => {"percent_added" => 75},
            "top_turn" => "10 cm",
            "eyelet_spacing" => "30 cm"
          },
          "making" => HEM.call("15 cm").merge("seam" => "2 cm"),
          "face" => "velvet",
          "lining" => LINED,
          "method" => "tabled",
          "notes" => "It parts the hall from the boats. Chain in the hem."
        }.freeze
        OFFICE_PANELS = {
          "support" => {"kind" => "track", "length" => "160 cm"},
          "opening" => {"kind" => "panels", "panels" => 2},
          "drop" => READ.call("196 cm").merge("offset" => "-1 cm"),
          "heading" => {"kind" => "buckram_panel", "fullness" => 1, "buckram" => "10 cm", "buckram_folds" => 2},
          "making" => HEM.call("8 cm"),
          "face" => "ferry",
          "method" => "pressed_sewn_last"
        }.freeze
        # What must be given, and nothing else: the rest is the house's.
        NEWCOMER = {
          "support" => {"kind" => "track", "length" => "132 cm"},
          "opening" => {"kind" => "pair"},
          "drop" => READ.call("121 cm"),
          "face" => "ferry"
        }.freeze
        JOBS = [
          ["Snug", "cm", "", [["Snug", "Inglenook window", [SNUG]]]],
          ["Studio", "cm", "Light all day, nobody looking in.", [["Studio", "North window", [STUDIO]]]],
          [
            "Attic",
            "cm",
            "",
            [["Gable room", "Gable", [GABLE]], ["Dormer room", "Dormer", [DORMER]], ["Stair head", "", [STAIR_HEAD]]]
          ],
          [
            "Boathouse",
            "cm",
            "",
            [["Boathouse hall", "Dividing curtain", [DIVIDING]], ["Boathouse office", "", [OFFICE_PANELS]]]
          ]
        ].freeze
        DATES = {"Snug" => {"promised" => 18}, "Boathouse" => {"promised" => 30, "cloth" => 6}}.freeze
        # Ways of altering that the chapel's curtains don't need, by what each is called.
        GUESTS = {
          "hang_only" => "Long room pair",
          "lengthen" => "Linen room pair",
          "new_heading" => "Ready pair for the quay",
          "ready_hooks" => "Ready panel, pantry",
          "shorten_at_top" => "Bordered pair",
          "shorten_keep_hem" => "Scullery curtain",
          "top_and_foot" => "Printed pair"
        }.freeze
      end
    end
  end
end
