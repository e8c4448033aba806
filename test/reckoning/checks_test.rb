# frozen_string_literal: true

require "documents_helper"

# Each check: a document that raises it and one, just beside it, that doesn't.
class ChecksTest < EarnestFoldTest
  include DocumentsHelper

  D = DocumentsHelper
  RAILROAD = {"run" => "railroad"}.freeze

  # code => [what raises it, what doesn't]: changes to the treatment, and to the cloth
  CASES = {
    "readings_spread" => [
      [{"drop" => {"readings" => [214, "215.01"]}}],
      [{"drop" => {"readings" => [214, 215]}}]
    ],
    "ordered_width" => [[{"ordered" => {"finished_width" => 99}}], [{"ordered" => {"finished_width" => 100}}]],
    "ordered_drop" => [[{"ordered" => {"finished_drop" => 212}}], [{"ordered" => {"finished_drop" => 213}}]],
    "ordered_cut" => [[{"ordered" => {"cut_length" => 250}}], [{"ordered" => {"cut_length" => 233}}]],
    "ordered_widths" => [[{"ordered" => {"widths" => 1.5}}], [{"ordered" => {"widths" => 2}}]],
    "ordered_pleats" => [
      [{"heading" => D::PLEATS.merge("pleats" => 12), "ordered" => {"pleats" => 11}}],
      [{"heading" => D::PLEATS.merge("pleats" => 12), "ordered" => {"pleats" => 12}}]
    ],
    "fullness_thin" => [[{"making" => {"widths" => 1}}], [{"making" => {"widths" => 1.5}}]],
    "carriers_short" => [[{"support" => {"carriers" => 27}}], [{"support" => {"carriers" => 28}}]],
    "eyelet_too_tight" => [
      [{"support" => {"kind" => "pole", "diameter" => 3.1}, "heading" => D::EYELETS.merge("eyelet_diameter" => 4)}],
      [{"support" => {"kind" => "pole", "diameter" => 3}, "heading" => D::EYELETS.merge("eyelet_diameter" => 4)}]
    ],
    "repeat_wider_than_cloth" => [[{}, {"horizontal_repeat" => 135.1}], [{}, {"horizontal_repeat" => 135}]],
    "cloth_too_narrow_to_railroad" => [[RAILROAD, {"width" => 234}], [RAILROAD, {"width" => 236}]],
    "railroad_turns_pattern" => [[RAILROAD, {"width" => 280, "one_way" => true}], [RAILROAD, {"width" => 280}]],
    "support_overloaded" => [
      [{"support" => {"rating" => 2}}, {"mass" => 300}],
      [{"support" => {"rating" => 40}}, {"mass" => 300}]
    ],
    "support_near_rating" => [
      [{"support" => {"rating" => 4}}, {"mass" => 300}],
      [{"support" => {"rating" => 5}}, {"mass" => 300}]
    ],
    "wave_hits_wall" => [
      [{"heading" => D::WAVE, "support" => {"projection" => "88.3 mm"}}],
      [{"heading" => D::WAVE, "support" => {"projection" => "88.5 mm"}}]
    ],
    "pleats_out_of_range" => [[{"heading" => D::PLEATS.merge("pleats" => 5)}], [{"heading" => D::PLEATS}]],
    "no_pleats" => [[{"heading" => D::PLEATS, "making" => {"widths" => 0.5}}], [{"heading" => D::PLEATS}]],
    "heading_misses_width" => [
      [
        {
          "heading" => {
            "kind" => "pleater_hook",
            "fullness" => 1.2,
            "pocket_pitch" => 8,
            "skips" => [3, 3, 3],
            "edge" => 3
          }
        }
      ],
      [
        {
          "heading" => {
            "kind" => "pleater_hook",
            "fullness" => 2,
            "pocket_pitch" => 1.8,
            "skips" => [3, 3, 3],
            "edge" => 3
          }
        }
      ]
    ],
    "seam_in_space" => [
      [{"heading" => D::PLEATS.merge("pleats" => 12)}],
      [{"heading" => D::PLEATS.merge("pleats" => 12, "hide_seams" => true, "tolerance" => 5)}]
    ],
    "widths_short" => [
      [{"heading" => D::WAVE, "making" => {"widths" => 1}}],
      [{"heading" => D::WAVE, "making" => {"widths" => 2}}]
    ],
    "pitch_moved_width" => [
      [{"heading" => D::EYELETS, "return_left" => 5}],
      [{"heading" => D::EYELETS.merge("fullness" => 1.8), "return_left" => 6, "return_right" => 6}]
    ]
  }.freeze

  CASES.each do |code, (raising, silent)|
    define_method(:"test_#{code}") do
      check = checks(*raising).find { |raised| raised.code == code }
      assert check, "#{code} is not raised"
      refute_match(/%\{|translation/, EarnestFold::Words.check(check, R::Units::CM))
      refute_includes checks(*silent).map(&:code), code
    end
  end

  def test_every_check_has_its_case
    assert_equal R::Checks::Kinds.map { |kind| kind::CODE }.sort, CASES.keys.sort
  end

  def test_the_most_serious_comes_first_and_each_code_once
    levels = checks(
      {
        "support" => {"carriers" => 1},
        "drop" => {"readings" => [210, 220]},
        "heading" => D::PLEATS.merge("pleats" => 12)
      }
    ).map(&:level)
    assert_equal levels.sort_by { |level| R::Checks::LEVELS.index(level) }, levels
    assert_equal :stop, levels.first
  end

  private

  def checks(treatment, cloth = {}) = treatment(treatment: treatment, cloth: cloth).checks
end
