# frozen_string_literal: true

module EarnestFold
  module Store
    class DemoHouse
      # The cloths of the house by their keys here: the spec, and the colour.
      module Bolts
        ALL = {
          "ferry" => [
            {
              "name" => "Ferry cotton twill",
              "use" => "face",
              "width" => "140 cm",
              "selvedge" => "1 cm",
              "price" => "21.50",
              "mass" => "230"
            },
            "#c4cfd3"
          ],
          "tick" => [
            {
              "name" => "Towpath ticking",
              "use" => "face",
              "width" => "54 in",
              "selvedge" => "1/2 in",
              "vertical_repeat" => "12 1/2 in",
              "one_way" => true,
              "order_step" => "4 1/2 in",
              "price" => "28.4339"
            },
            "#d5c4a1"
          ],
          "reed" => [
            {
              "name" => "Reedbed linen union",
              "use" => "face",
              "width" => "140 cm",
              "selvedge" => "1.5 cm",
              "selvedge_in_seam" => true,
              "vertical_repeat" => "64 cm",
              "horizontal_repeat" => "137 cm",
              "match" => "half_drop",
              "one_way" => true,
              "shrink_percent" => "2",
              "mass" => "320",
              "price" => "34.00"
            },
            "#c9d2bd"
          ],
          "sateen" => [
            {
              "name" => "Ivory cotton sateen lining",
              "use" => "lining",
              "width" => "54 in",
              "selvedge" => "1/2 in",
              "price" => "6.80",
              "mass" => "150"
            },
            "#ece3cf"
          ],
          "bump" => [
            {
              "name" => "Soft interlining",
              "use" => "interlining",
              "width" => "137 cm",
              "mass" => "260",
              "price" => "9.20"
            },
            "#f0ead9"
          ],
          "velvet" => [
            {
              "name" => "Mooring velvet",
              "use" => "face",
              "width" => "145 cm",
              "selvedge" => "1.5 cm",
              "mass" => "410",
              "one_way" => true,
              "price" => "41.00"
            },
            "#8d95ad"
          ],
          "blackout" => [
            {
              "name" => "Coated blackout",
              "use" => "lining",
              "width" => "280 cm",
              "mass" => "230",
              "coated" => true,
              "price" => "12.40"
            },
            "#e4e0d8"
          ],
          "voile" => [
            {
              "name" => "Estuary voile",
              "use" => "face",
              "width" => "300 cm",
              "selvedge" => "1 cm",
              "mass" => "70",
              "loose" => true,
              "price" => "14.60"
            },
            "#f4f1e8"
          ],
          "stripe" => [
            {
              "name" => "Jetty stripe",
              "use" => "face",
              "width" => "137 cm",
              "selvedge" => "1.2 cm",
              "mass" => "240",
              "price" => "19.80"
            },
            "#d7cdb0"
          ]
        }.freeze
      end
    end
  end
end
