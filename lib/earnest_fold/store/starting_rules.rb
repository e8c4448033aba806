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

      module_function

      # @param unit [Reckoning::Unit]
      # @return [Hash] in the job format; its "lining" is for when one is chosen
      def for(unit) = unit.inches? ? INCHES : METRIC

      # @return [Hash] a treatment's spec, unlined
      def spec(unit) = self.for(unit).except("lining")
    end
  end
end
