# frozen_string_literal: true

module EarnestFold
  module Store
    class DemoHouse
      # The rooms of the house as jobs: title, unit, notes, and each window with its layers from the glass to the room.
      module Rooms
        PLEATS = {
          "kind" => "hand_pleat",
          "style" => "triple",
          "fullness" => "2.3",
          "buckram" => "12.5 cm",
          "buckram_folds" => 1,
          "space" => {"min" => "9 cm", "target" => "10.5 cm", "max" => "12 cm"},
          "take_up" => {"min" => "11 cm", "target" => "14 cm", "max" => "17 cm"},
          "tolerance" => "15 mm",
          "hide_seams" => true
        }.freeze
        LOUNGE_MAKING = {
          "hem" => {"kind" => "double", "depth" => "10 cm"},
          "side" => {"kind" => "single", "depth" => "6 cm", "turn_under" => "0 cm"},
          "seam" => "1.5 cm",
          "squaring" => "3 cm",
          "width_step" => "half",
          "trim" => "full_widths"
        }.freeze
        LOUNGE_LINING = {
          "cloth" => "sateen",
          "lift" => "2.5 cm",
          "inset" => "0 cm",
          "side_turn" => "2 cm",
          "top" => "4 cm",
          "hem" => {"kind" => "double", "depth" => "5 cm"}
        }.freeze
        LOUNGE = {
          "heading" => PLEATS,
          "making" => LOUNGE_MAKING,
          "lining" => LOUNGE_LINING,
          "interlining" => {"cloth" => "bump"},
          "face" => "reed",
          "pattern" => {"place" => "hem", "point" => "12 cm"},
          "rules" => "Hand-finished, lined"
        }.freeze
        BAY = LOUNGE.merge(
          "support" => {"kind" => "track", "length" => "284 cm", "rating" => "40", "projection" => "9 cm"},
          "opening" => {"kind" => "pair"},
          "overlap" => "10 cm",
          "return_left" => "9 cm",
          "return_right" => "9 cm",
          "ease" => "2.5 cm",
          "drop" => {
            "readings" => ["236.5 cm", "236 cm", "237.2 cm"],
            "taken_at" => %w[left middle right],
            "stand_up" => "1.2 cm",
            "offset" => "-1 cm"
          },
          "wall" => {
            "glass" => {"from_left" => "42 cm", "width" => "200 cm", "down" => "14 cm", "height" => "150 cm"},
            "radiator" => {
              "from_left" => "92 cm",
              "width" => "100 cm",
              "down" => "172 cm",
              "height" => "56 cm",
              "stands_off" => "8 cm"
            },
            "sill" => {
              "from_left" => "36 cm",
              "width" => "212 cm",
              "down" => "164 cm",
              "height" => "4 cm",
              "stands_off" => "6 cm"
            }
          },
          "notes" => "The bay's floor falls to the river side: hang to the shortest."
        ).freeze
        SIDE_LIGHT = LOUNGE.merge(
          "support" => {"kind" => "track", "length" => "96 cm"},
          "opening" => {"kind" => "one_way_left"},
          "return_left" => "9 cm",
          "drop" => {
            "readings" => ["236.8 cm", "236.4 cm"],
            "taken_at" => %w[left right],
            "stand_up" => "1.2 cm",
            "offset" => "-1 cm"
          }
        ).freeze
        SHEER = {
          "name" => "sheer behind",
          "support" => {"kind" => "track", "length" => "264 cm", "projection" => "6 cm", "carriers" => 60},
          "opening" => {"kind" => "pair"},
          "drop" => {
            "readings" => ["231 cm", "231.2 cm", "230.9 cm"],
            "taken_at" => %w[left middle right],
            "offset" => "-1 cm"
          },
          "heading" => {
            "kind" => "pencil_pleat",
            "fullness" => "2.5",
            "top_turn" => "3 cm",
            "tape_turn_in" => "2 cm",
            "tape_below" => "5 mm",
            "pocket_pitch" => "2 cm",
            "hook_spacing" => "8 cm"
          },
          "tape" => "sheer",
          "making" => {
            "hem" => {"kind" => "double", "depth" => "6 cm"},
            "side" => {"kind" => "double", "depth" => "2 cm"},
            "seam" => "1 cm",
            "squaring" => "0 cm",
            "width_step" => "whole",
            "trim" => "full_widths"
          },
          "face" => "voile",
          "run" => "railroad",
          "rules" => "Unlined",
          "wall" => {
            "handle" => {
              "from_left" => "130 cm",
              "width" => "4 cm",
              "down" => "110 cm",
              "height" => "12 cm",
              "stands_off" => "4 cm"
            }
          }
        }.freeze
        WAVE = {
          "support" => {
            "kind" => "track",
            "length" => "264 cm",
            "carriers" => 30,
            "projection" => "13.5 cm",
            "rating" => "20"
          },
          "opening" => {"kind" => "pair"},
          "return_left" => "8 cm",
          "return_right" => "8 cm",
          "drop" => {
            "readings" => ["231 cm", "231.2 cm", "230.9 cm"],
            "taken_at" => %w[left middle right],
            "offset" => "-1 cm"
          },
          "heading" => {
            "kind" => "wave",
            "glider_spacing" => "80 mm",
            "hook_pitch" => "176 mm",
            "tape_turn_in" => "10 mm",
            "top_turn" => "90 mm"
          },
          "tape" => "wave",
          "making" => {
            "hem" => {"kind" => "single", "depth" => "95 mm", "turn_under" => "0 mm"},
            "side" => {"kind" => "single", "depth" => "5 cm", "turn_under" => "0 cm"},
            "seam" => "1.5 cm",
            "width_step" => "half"
          },
          "face" => "velvet",
          "lining" => {
            "cloth" => "blackout",
            "lift" => "3 mm",
            "inset" => "2 cm",
            "side_turn" => "0 cm",
            "top" => "0 cm",
            "hem" => {"kind" => "none"},
            "run" => "railroad"
          }
        }.freeze
        EYELETS = {
          "support" => {"kind" => "pole", "length" => "210 cm", "diameter" => "3.5 cm"},
          "opening" => {"kind" => "pair"},
          "drop" => {
            "readings" => ["222 cm", "222.6 cm", "222.1 cm"],
            "taken_at" => %w[left middle right],
            "stand_up" => "2.5 cm",
            "offset" => "-1.5 cm"
          },
          "heading" => {
            "kind" => "eyelet",
            "fullness" => "1.8",
            "tape_pitch" => "15 cm",
            "top_turn" => "3 cm",
            "eyelet_diameter" => "4 cm"
          },
          "making" => {
            "hem" => {"kind" => "double", "depth" => "7.5 cm"},
            "side" => {"kind" => "single", "depth" => "1.5 cm", "turn_under" => "0 cm"},
            "seam" => "1.5 cm",
            "width_step" => "half"
          },
          "face" => "stripe",
          "lining" => {
            "cloth" => "sateen",
            "lift" => "2.5 cm",
            "inset" => "3 cm",
            "side_turn" => "1.5 cm",
            "top" => "1.5 cm",
            "hem" => {"kind" => "double", "depth" => "7.5 cm"}
          }
        }.freeze
        DOUBLE = ->(depth) { {"kind" => "double", "depth" => depth} }
        private_constant :DOUBLE
        # The ferry chapel's own curtains, and a throw: what is altered.
        VESTRY = [
          {
            "id" => "Vestry pair",
            "kind" => "shorten_at_hem",
            "existing_length" => "241 cm",
            "wanted_length" => "164 cm",
            "stand_up" => "3.5 cm",
            "existing_hem" => DOUBLE.call("6 cm"),
            "let_down" => false,
            "hem" => DOUBLE.call("8 cm"),
            "curtains" => 2,
            "width" => "168 cm",
            "widths" => 1,
            "printed" => true,
            "motif" => "98 cm",
            "length_from" => "the eye of the ring",
            "length_to" => "a finger above the step"
          },
          {
            "id" => "Organ loft",
            "kind" => "split_panel",
            "existing_length" => "252 cm",
            "wanted_length" => "104 cm",
            "existing_hem" => DOUBLE.call("4 cm"),
            "hem" => DOUBLE.call("8 cm"),
            "top_allowance" => "14 cm",
            "width" => "137 cm",
            "length_from" => "the rod",
            "length_to" => "the sill"
          },
          {
            "id" => "Porch, a sailcloth throw",
            "kind" => "from_flat_cloth",
            "cloth_width" => "200 cm",
            "cloth_length" => "340 cm",
            "finished_width" => "240 cm",
            "fullness" => "1.4",
            "wanted_length" => "188 cm",
            "top_allowance" => "9 cm",
            "width" => "200 cm",
            "length_from" => "the pole's upper side",
            "length_to" => "the floor, just clear"
          }
        ].freeze
        TIMED = {
          "Breakfast room" => {
            ["lay_out_cuts", ""] => 18,
            ["hem_lining", ""] => 31,
            %w[turn_sides left] => 58,
            %w[press_hem left] => 24
          },
          "Ticket office" => {
            ["lay_out_cuts", ""] => 11,
            %w[turn_sides left] => 61,
            %w[press_hem left] => 22,
            %w[press_hem right] => 20
          },
          "Upper landing" => {["lay_out_cuts", ""] => 7, ["hem_lining", ""] => 26, %w[press_hem single] => 19}
        }.freeze
        LEARNT = {
          went_wrong: "The stripe crept under the foot on the second seam.",
          next_time: "Pin across every stripe, and press before the sides are turned."
        }.freeze
        # What is promised and awaited, in days from the day the house is loaded.
        DATES = {
          "Residents' lounge" => {"promised" => 8, "cloth" => 2},
          "Breakfast room" => {"promised" => 11},
          "Ferrymaster's bedroom" => {"promised" => 16, "parts" => 9}
        }.freeze
        JOBS = [
          ["Breakfast room", "cm", "", [["Breakfast room", "East window", [EYELETS]]]],
          [
            "Ferrymaster's bedroom",
            "cm",
            "Dark by five in the morning, please; the sheers stay drawn by day.",
            [["Ferrymaster's bedroom", "River window", [SHEER, WAVE]]]
          ],
          [
            "Residents' lounge",
            "cm",
            "Both windows are seen together from the door: the pattern is level at the hem.",
            [["Residents' lounge", "River bay", [BAY]], ["Residents' lounge", "Garden side light", [SIDE_LIGHT]]]
          ]
        ].freeze
      end
    end
  end
end
