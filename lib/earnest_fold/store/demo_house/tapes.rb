# frozen_string_literal: true

module EarnestFold
  module Store
    class DemoHouse
      # The tapes that the house sews on, by the keys that its windows name.
      module Tapes
        ALL = {
          "sheer" => {
            "name" => "Soft tape for sheers",
            "kind" => "corded",
            "depth" => "5 cm",
            "below" => "5 mm",
            "turn_in" => "2 cm",
            "pocket_pitch" => "2 cm",
            "row_top" => "8 mm",
            "row_bottom" => "3.6 cm",
            "price" => "1.90"
          },
          "wave" => {
            "name" => "Wave tape, two pitches",
            "kind" => "wave",
            "depth" => "7.6 cm",
            "turn_in" => "10 mm",
            "pitches" => [{"pitch" => "176 mm", "mark" => "bar"}, {"pitch" => "140 mm", "mark" => "dot"}],
            "price" => "4.60"
          },
          "pockets" => {
            "name" => "Pocketed tape, cream",
            "kind" => "pocketed",
            "depth" => "7.5 cm",
            "below" => "5 mm",
            "turn_in" => "2 cm",
            "pocket_pitch" => "18 mm",
            "row_top" => "1.2 cm",
            "row_middle" => "3.4 cm",
            "row_bottom" => "5.8 cm",
            "price" => "2.40"
          }
        }.freeze
      end
    end
  end
end
