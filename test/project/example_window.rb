# frozen_string_literal: true

require "earnest_fold"

# What the examples in the comments speak of: one plain window, a pair on a track of 180 cm with a pencil pleat.
module ExampleWindow
  R = EarnestFold::Reckoning
  CM = R::Units::CM
  CLOTH = {
    "id" => "plain",
    "use" => "face",
    "width" => "140 cm",
    "selvedge" => "1 cm",
    "vertical_repeat" => "32 cm",
    "mass" => "250",
    "price" => "18.50"
  }.freeze
  SPEC = {
    "id" => "office",
    "support" => {"kind" => "track", "length" => "180 cm"},
    "opening" => {"kind" => "pair"},
    "return_left" => "6 cm",
    "return_right" => "6 cm",
    "overlap" => "8 cm",
    "drop" => {"readings" => ["214 cm", "214.4 cm", "213.8 cm"], "offset" => "-1 cm"},
    "heading" => {"kind" => "pencil_pleat", "fullness" => "2", "top_turn" => "4 cm", "tape_turn_in" => "3 cm"},
    "making" => {
      "hem" => {"kind" => "double", "depth" => "8 cm"},
      "side" => {"kind" => "single", "depth" => "4 cm", "turn_under" => "1 cm"},
      "seam" => "1.5 cm"
    },
    "face" => "plain"
  }.freeze

  module_function

  def house = R::HouseRules.new(**R::HouseRules::FIELDS.to_h { |field| [field.name, field.default] })

  def cloth = R::Cloth.build(R::Cloth::FIELDS.read(CLOTH, CM, R::Problems.new), R::Problems.new)

  def treatment = R::TreatmentReader.new({"plain" => cloth}, CM).read(SPEC, R::Problems.new)

  def reckoning = treatment.reckon

  def curtain = reckoning.curtains.first
end
