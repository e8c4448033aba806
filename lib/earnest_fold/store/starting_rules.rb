# frozen_string_literal: true

module EarnestFold
  module Store
    # The sets of rules that a workroom begins with, in round figures of each tape. From then on they are the
    # workroom's own.
    module StartingRules
      def self.allowance(kind, depth, turn_under = nil) =
        {"kind" => kind, "depth" => depth, "turn_under" => turn_under}.compact
      private_class_method :allowance

      METRIC_HEADINGS = {
        "pencil_pleat" => {
          "fullness" => "2",
          "top_turn" => "4 cm",
          "tape_turn_in" => "3 cm",
          "hook_spacing" => "8 cm"
        },
        "hand_pleat" => {
          "style" => "triple",
          "fullness" => "2.2",
          "buckram" => "12.5 cm",
          "buckram_folds" => 1,
          "space" => {"min" => "9 cm", "target" => "10.5 cm", "max" => "12 cm"},
          "take_up" => {"min" => "11 cm", "target" => "14 cm", "max" => "17 cm"},
          "tolerance" => "15 mm"
        },
        "buckram_panel" => {"fullness" => "1", "buckram" => "10 cm", "buckram_folds" => 2},
        "eyelet" => {"fullness" => "1.8", "pitch" => "15 cm", "top_turn" => "10 cm"},
        "wave" => {
          "glider_spacing" => "80 mm",
          "hook_pitch" => "176 mm",
          "tape_turn_in" => "10 mm",
          "top_turn" => "90 mm"
        },
        "rod_pocket" => {"fullness" => "2", "frill" => "2 cm", "pocket" => "4 cm", "turn_under" => "1.5 cm"},
        "fixed_pitch" => {"fullness" => "2", "pitch" => "10 cm", "top_turn" => "7 cm"},
        "pleater_hook" => {
          "fullness" => "2",
          "pocket_pitch" => "18 mm",
          "skips" => [3, 3, 3],
          "edge" => 3,
          "top_turn" => "2 cm"
        },
        "tab_top" => {
          "fullness" => "1.5",
          "top_turn" => "1.5 cm",
          "tab_width" => "5 cm",
          "tab_drop" => "5 cm",
          "tab_spacing" => "16 cm"
        },
        "clip_ring" => {"fullness" => "1.5", "top_turn" => "5 cm", "clip_spacing" => "14 cm"},
        "webbing" => {"fullness" => "1.75", "top_turn" => "10 cm", "eyelet_spacing" => "12 in"}
      }.freeze
      # Only what an inch tape rounds otherwise; hardware keeps its own unit, whatever tape is used.
      INCH_HEADINGS = {
        "pencil_pleat" => {"top_turn" => "1 1/2 in", "tape_turn_in" => "1 in", "hook_spacing" => "3 in"},
        "hand_pleat" => {
          "buckram" => "5 in",
          "space" => {"min" => "3 1/2 in", "target" => "4 in", "max" => "4 3/4 in"},
          "take_up" => {"min" => "4 1/2 in", "target" => "5 1/2 in", "max" => "6 3/4 in"},
          "tolerance" => "5/8 in"
        },
        "buckram_panel" => {"buckram" => "4 in"},
        "eyelet" => {"pitch" => "6 in", "top_turn" => "4 in"},
        "rod_pocket" => {"frill" => "3/4 in", "pocket" => "1 5/8 in", "turn_under" => "5/8 in"},
        "tab_top" => {
          "top_turn" => "5/8 in",
          "tab_width" => "2 in",
          "tab_drop" => "2 in",
          "tab_spacing" => "6 1/4 in"
        },
        "clip_ring" => {"top_turn" => "2 in", "clip_spacing" => "5 1/2 in"},
        "webbing" => {"top_turn" => "4 in"}
      }.freeze
      HAND_FINISHED = {
        "metric" => {
          "method" => "locked_in",
          "weighting" => "corners_and_seams",
          "making" => {
            "hem" => allowance("double", "8 cm"),
            "side" => allowance("single", "4 cm", "1 cm"),
            "seam" => "1.5 cm",
            "squaring" => "0 cm",
            "width_step" => "whole",
            "trim" => "full_widths"
          },
          "lining" => {
            "lift" => "2.5 cm",
            "inset" => "0 cm",
            "side_turn" => "2 cm",
            "top" => "4 cm",
            "hem" => allowance("double", "5 cm")
          },
          "headings" => METRIC_HEADINGS
        },
        "inches" => {
          "making" => {
            "hem" => allowance("double", "3 in"),
            "side" => allowance("single", "1 1/2 in", "1/2 in"),
            "seam" => "5/8 in"
          },
          "lining" => {
            "lift" => "1 in",
            "inset" => "0 in",
            "side_turn" => "3/4 in",
            "top" => "1 1/2 in",
            "hem" => allowance("double", "2 in")
          },
          "headings" => INCH_HEADINGS
        }
      }.freeze
      # The face wraps to the back by the side's depth; lining and face are sewn right sides together.
      MACHINE_BAGGED = {
        "metric" => {
          "method" => "bagged_hem_first",
          "weighting" => "corners_and_seams",
          "making" => {
            "hem" => allowance("double", "7.5 cm"),
            "side" => allowance("single", "3.5 cm", "1.5 cm"),
            "seam" => "1.5 cm",
            "squaring" => "0 cm",
            "width_step" => "whole",
            "trim" => "full_widths"
          },
          "lining" => {
            "lift" => "3 cm",
            "inset" => "3.5 cm",
            "side_turn" => "1.5 cm",
            "top" => "4 cm",
            "hem" => allowance("single", "5 cm", "1 cm")
          },
          "headings" => METRIC_HEADINGS
        },
        "inches" => {
          "making" => {
            "hem" => allowance("double", "3 in"),
            "side" => allowance("single", "1 3/8 in", "5/8 in"),
            "seam" => "5/8 in"
          },
          "lining" => {
            "lift" => "1 1/8 in",
            "inset" => "1 3/8 in",
            "side_turn" => "5/8 in",
            "top" => "1 1/2 in",
            "hem" => allowance("single", "2 in", "3/8 in")
          },
          "headings" => INCH_HEADINGS
        }
      }.freeze
      UNLINED = {
        "metric" => {
          "method" => "unlined_hem_first",
          "weighting" => "corners_and_seams",
          "making" => {
            "hem" => allowance("double", "8 cm"),
            "side" => allowance("double", "2 cm"),
            "seam" => "1 cm",
            "squaring" => "0 cm",
            "width_step" => "whole",
            "trim" => "full_widths"
          },
          "headings" => METRIC_HEADINGS
        },
        "inches" => {
          "making" => {
            "hem" => allowance("double", "3 in"),
            "side" => allowance("double", "3/4 in"),
            "seam" => "3/8 in"
          },
          "headings" => INCH_HEADINGS
        }
      }.freeze
      HALL = {
        "metric" => {
          "method" => "unlined_hem_first",
          "weighting" => "chain",
          "making" => {
            "hem" => allowance("double", "15 cm"),
            "side" => allowance("double", "5 cm"),
            "seam" => "2 cm",
            "squaring" => "5 cm",
            "width_step" => "whole",
            "trim" => "full_widths"
          },
          "headings" => METRIC_HEADINGS.merge(
            "webbing" => {
              "fullness" => {"percent_added" => "75"},
              "top_turn" => "10 cm",
              "eyelet_spacing" => "30 cm"
            }
          )
        },
        "inches" => {
          "making" => {
            "hem" => allowance("double", "6 in"),
            "side" => allowance("double", "2 in"),
            "seam" => "3/4 in",
            "squaring" => "2 in"
          },
          "headings" => INCH_HEADINGS.merge("webbing" => {"top_turn" => "4 in", "eyelet_spacing" => "12 in"})
        }
      }.freeze
      SETS = {
        "Hand-finished, lined" => HAND_FINISHED,
        "Machine-bagged" => MACHINE_BAGGED,
        "Unlined" => UNLINED,
        "Hall" => HALL
      }.freeze
      # A window nobody has measured.
      UNMEASURED = {
        "support" => {"kind" => "track"},
        "opening" => {"kind" => "pair"},
        "drop" => {"readings" => []}
      }.freeze
    end
  end
end
