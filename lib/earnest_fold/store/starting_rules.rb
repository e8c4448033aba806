# frozen_string_literal: true

module EarnestFold
  module Store
    # What a new treatment starts from: the workroom's usual allowances, in round figures of the tape that is used.
    module StartingRules
      METRIC = {
        "support" => {"kind" => "track"}, "opening" => {"kind" => "pair"}, "drop" => {"readings" => []},
        "heading" => {"kind" => "pencil_pleat", "fullness" => "2", "top_turn" => "4 cm", "tape_turn_in" => "3 cm", "hook_spacing" => "8 cm"},
        "making" => {"hem" => {"kind" => "double", "depth" => "8 cm"}, "side" => {"kind" => "single", "depth" => "4 cm", "turn_under" => "1 cm"}, "seam" => "1.5 cm"},
        "lining" => {"lift" => "2.5 cm", "inset" => "0 cm", "side_turn" => "2 cm", "top" => "4 cm", "hem" => {"kind" => "double", "depth" => "5 cm"}}
      }.freeze
      INCHES = {
        "support" => {"kind" => "track"}, "opening" => {"kind" => "pair"}, "drop" => {"readings" => []},
        "heading" => {"kind" => "pencil_pleat", "fullness" => "2", "top_turn" => "1 1/2 in", "tape_turn_in" => "1 in", "hook_spacing" => "3 in"},
        "making" => {"hem" => {"kind" => "double", "depth" => "3 in"}, "side" => {"kind" => "single", "depth" => "1 1/2 in", "turn_under" => "1/2 in"}, "seam" => "5/8 in"},
        "lining" => {"lift" => "1 in", "inset" => "0 in", "side_turn" => "3/4 in", "top" => "1 1/2 in", "hem" => {"kind" => "double", "depth" => "2 in"}}
      }.freeze

      HEADINGS = {
        "hand_pleat" => {"style" => "triple", "fullness" => "2.2", "buckram" => "12.5 cm", "buckram_folds" => 1, "space" => {"min" => "9 cm", "target" => "10.5 cm", "max" => "12 cm"},
                         "take_up" => {"min" => "11 cm", "target" => "14 cm", "max" => "17 cm"}, "tolerance" => "15 mm"},
        "eyelet" => {"fullness" => "1.8", "pitch" => "15 cm", "top_turn" => "10 cm"}, "wave" => {"glider_spacing" => "80 mm", "hook_pitch" => "176 mm", "tape_turn_in" => "10 mm", "top_turn" => "90 mm"},
        "rod_pocket" => {"fullness" => "2", "frill" => "2 cm", "pocket" => "4 cm", "turn_under" => "1.5 cm"}, "fixed_pitch" => {"fullness" => "2", "pitch" => "10 cm", "top_turn" => "7 cm"},
        "pleater_hook" => {"fullness" => "2", "pocket_pitch" => "18 mm", "skips" => [3, 3, 3], "edge" => 3, "top_turn" => "2 cm"},
        "tab_top" => {"fullness" => "1.5", "top_turn" => "1.5 cm", "tab_width" => "5 cm", "tab_drop" => "5 cm", "tab_spacing" => "16 cm"},
        "clip_ring" => {"fullness" => "1.5", "top_turn" => "5 cm", "clip_spacing" => "14 cm"}, "webbing" => {"fullness" => "1.75", "top_turn" => "10 cm", "eyelet_spacing" => "12 in"}
      }.freeze

      module_function

      # @param kind [String]
      # @return [Hash] a heading of that kind in the job format; its hardware in its own unit, whatever tape is used
      def heading(kind, unit) = {"kind" => kind}.merge(HEADINGS.fetch(kind) { self.for(unit)["heading"] })

      # @param unit [Reckoning::Unit]
      # @return [Hash] in the job format; its "lining" is for when one is chosen
      def for(unit) = unit.inches? ? INCHES : METRIC

      # @return [Hash] a treatment's spec, unlined
      def spec(unit) = self.for(unit).except("lining")
    end
  end
end
