# frozen_string_literal: true

require "test_helper"

# Job documents for tests: one plain treatment in centimetres, with changes laid over it.
module DocumentsHelper
  R = EarnestFold::Reckoning
  CLOTH = {"id" => "c", "use" => "face", "width" => 140, "selvedge" => 1}.freeze
  TREATMENT = {
    "id" => "t",
    "support" => {"kind" => "track", "length" => 180},
    "opening" => {"kind" => "pair"},
    "overlap" => 8,
    "return_left" => 6,
    "return_right" => 6,
    "drop" => {"readings" => [214], "offset" => -1},
    "heading" => {"kind" => "pencil_pleat", "fullness" => 2, "top_turn" => 4, "hook_spacing" => 8},
    "making" => {
      "hem" => {"kind" => "double", "depth" => 8},
      "side" => {"kind" => "single", "depth" => 4, "turn_under" => 1},
      "seam" => 1.5
    },
    "face" => "c"
  }.freeze
  PLEATS = {
    "kind" => "hand_pleat",
    "style" => "triple",
    "fullness" => 2.3,
    "buckram" => 10,
    "space" => {"min" => 9, "target" => 10, "max" => 12},
    "take_up" => {"min" => 9, "target" => 13, "max" => 20}
  }.freeze
  WAVE = {"kind" => "wave", "glider_spacing" => 8, "hook_pitch" => 17.6, "top_turn" => 9}.freeze
  EYELETS = {"kind" => "eyelet", "fullness" => 1.8, "tape_pitch" => 15, "top_turn" => 3}.freeze

  private

  # @return [Hash] a document; `treatment` and `cloth` are merged deeply over the plain ones
  def document(treatment: {}, cloth: {}, **more)
    {
      "format" => "earnest-fold/job",
      "version" => 1,
      "title" => "t",
      "unit" => "cm",
      "cloths" => [over(CLOTH, cloth), {"id" => "l", "use" => "lining", "width" => 137, "mass" => 150}],
      "windows" => [{"id" => "w", "treatments" => [over(TREATMENT, treatment)]}],
      **more.transform_keys(&:to_s)
    }
  end

  # A heading replaces the whole heading; other parts are laid over each other.
  def over(plain, changes)
    plain.merge(changes) do |key, old, new|
      (old.is_a?(Hash) && new.is_a?(Hash) && key != "heading") ? over(old, new) : new
    end
  end

  def read(document) = EarnestFold::Documents::JobFormat.read(JSON.generate(document))

  def reckoned(document) = R::JobReckoning.new(read(document))

  def treatment(**changes) = reckoned(document(**changes)).treatments.first

  # @return [Array<Array(String, Symbol)>] place and code of every problem
  def problems(document)
    read(document)
    []
  rescue R::Invalid => invalid
    invalid.problems.map { |problem| [problem.at, problem.code] }
  end
end
