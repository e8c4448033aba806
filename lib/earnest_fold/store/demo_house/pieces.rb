# frozen_string_literal: true

module EarnestFold
  module Store
    class DemoHouse
      # What lies on the shelf, by cloth: label, and the piece as it came and was measured.
      module Pieces
        ALL = {
          "reed" => [
            [
              "R1",
              {
                "delivered" => "25 m",
                "measured" => "24.94 m",
                "width" => "140 cm",
                "repeat" => "64 cm",
                "batch" => "417",
                "pattern_start" => "22 cm",
                "place" => "Rack A, top",
                "flaws" => [
                  {"from" => "7.32 m", "to" => "7.40 m", "what" => "slub"},
                  {"from" => "16.05 m", "to" => "16.12 m", "what" => "pulled thread"}
                ]
              }
            ],
            [
              "R2",
              {
                "delivered" => "12 m",
                "measured" => "12.03 m",
                "width" => "140 cm",
                "repeat" => "64 cm",
                "batch" => "417",
                "pattern_start" => "41 cm",
                "place" => "Rack A, top"
              }
            ],
            ["R3", {"delivered" => "6.4 m", "batch" => "422", "pattern_start" => "5 cm", "place" => "Rack A, below"}]
          ],
          "sateen" => [["S1", {"delivered" => "50 m", "measured" => "50.2 m", "batch" => "08", "place" => "Rack C"}]],
          "bump" => [["B1", {"delivered" => "40 m", "measured" => "40 m", "place" => "Rack C, below"}]],
          "ferry" => [
            [
              "F1",
              {
                "delivered" => "9 m",
                "measured" => "9.05 m",
                "batch" => "31",
                "place" => "Rack B",
                "flaws" => [{"from" => "2.10 m", "to" => "2.14 m", "what" => "oil spot"}]
              }
            ],
            [
              "F2",
              {
                "delivered" => "3.2 m",
                "measured" => "3.18 m",
                "batch" => "31",
                "place" => "Rack B",
                "squared" => true
              }
            ]
          ],
          "stripe" => [
            [
              "J1",
              {
                "delivered" => "15 m",
                "measured" => "15 m",
                "width" => "135.5 cm",
                "batch" => "2",
                "place" => "By the door"
              }
            ]
          ]
        }.freeze
      end
    end
  end
end
