# frozen_string_literal: true

require "documents_helper"

# What is refused before reckoning, each with its place; and what lies just beside it and is not.
class RefusalsTest < EarnestFoldTest
  include DocumentsHelper

  D = DocumentsHelper
  AT = "/windows/0/treatments/0"
  LINING = {"cloth" => "l", "hem" => {"kind" => "double", "depth" => 5}}.freeze

  # what is wrong => [changes to the treatment, to the cloth, the place]
  CASES = {
    "selvedges use the width up" => [{}, {"selvedge" => 70}, "/cloths/0/width"],
    "side turnings use the width up" => [
      {"making" => {"side" => {"kind" => "double", "depth" => 35}}},
      {},
      "#{AT}/making/side"
    ],
    "seams use the width up" => [{"making" => {"seam" => 69}}, {}, "#{AT}/making/seam"],
    "no support" => [{"support" => {"length" => 0}}, {}, "#{AT}/support/length"],
    "no fullness" => [{"heading" => {"kind" => "pencil_pleat", "fullness" => 0}}, {}, "#{AT}/heading/fullness"],
    "an offset that eats the drop" => [{"drop" => {"offset" => -214}}, {}, "#{AT}/drop"],
    "half-drop without a repeat" => [{}, {"match" => "half_drop"}, "/cloths/0/match"],
    "hook pitch under spacing" => [{"heading" => D::WAVE.merge("hook_pitch" => 7.9)}, {}, "#{AT}/heading/hook_pitch"],
    "a pocket without depth or rod" => [
      {"heading" => {"kind" => "rod_pocket", "fullness" => 2}},
      {},
      "#{AT}/heading/pocket"
    ],
    "no order step" => [{}, {"order_step" => 0}, "/cloths/0/order_step"],
    "no pitch" => [
      {"heading" => {"kind" => "fixed_pitch", "fullness" => 2, "pitch" => 0}},
      {},
      "#{AT}/heading/pitch"
    ],
    "no hook spacing" => [
      {"heading" => {"kind" => "pencil_pleat", "fullness" => 2, "hook_spacing" => 0}},
      {},
      "#{AT}/heading/hook_spacing"
    ],
    "a repeat below nothing" => [{}, {"vertical_repeat" => -1}, "/cloths/0/vertical_repeat"],
    "a flaw outside its piece" => [
      {},
      {"pieces" => [{"id" => "p", "length" => 100, "flaws" => [{"from" => 99, "to" => 101}]}]},
      "/cloths/0/pieces/0/flaws/0"
    ],
    "a flaw that ends before it starts" => [
      {},
      {"pieces" => [{"id" => "p", "length" => 100, "flaws" => [{"from" => 9, "to" => 8}]}]},
      "/cloths/0/pieces/0/flaws/0/to"
    ],
    "two pieces of one id" => [
      {},
      {"pieces" => [{"id" => "p", "length" => 1}, {"id" => "p", "length" => 2}]},
      "/cloths/0/pieces/1/id"
    ],
    "a cloth that isn't there" => [{"face" => "nowhere"}, {}, "#{AT}/face"],
    "a lining's cloth that isn't there" => [
      {"lining" => LINING.merge("cloth" => "nowhere")},
      {},
      "#{AT}/lining/cloth"
    ],
    "no reading" => [{"drop" => {"readings" => []}}, {}, "#{AT}/drop/readings"],
    "a split of nothing" => [{"opening" => {"kind" => "pair", "split" => 0}}, {}, "#{AT}/opening/split"],
    "a split of all" => [{"opening" => {"kind" => "pair", "split" => 1}}, {}, "#{AT}/opening/split"],
    "a shrink of half" => [{}, {"shrink_percent" => 50}, "/cloths/0/shrink_percent"],
    "one pleat" => [{"heading" => D::PLEATS.merge("pleats" => 1)}, {}, "#{AT}/heading/pleats"],
    "no skips" => [
      {"heading" => {"kind" => "pleater_hook", "fullness" => 2, "pocket_pitch" => 2, "skips" => [], "edge" => 1}},
      {},
      "#{AT}/heading/skips"
    ],
    "a skip of none" => [
      {
        "heading" => {"kind" => "pleater_hook", "fullness" => 2, "pocket_pitch" => 2, "skips" => [3, 0], "edge" => 1}
      },
      {},
      "#{AT}/heading/skips/1"
    ],
    "a length over 100 m" => [{"support" => {"length" => "100.001 m"}}, {}, "#{AT}/support/length"],
    "a dress pair without its cover" => [{"opening" => {"kind" => "dress_pair"}}, {}, "#{AT}/opening/cover"],
    "panels without their count" => [{"opening" => {"kind" => "panels"}}, {}, "#{AT}/opening/panels"],
    "one panel" => [{"opening" => {"kind" => "panels", "panels" => 1}}, {}, "#{AT}/opening/panels"],
    "an inset that eats the lining" => [{"lining" => LINING.merge("inset" => 150)}, {}, "#{AT}/lining/inset"],
    "a lift that eats the lining" => [{"lining" => LINING.merge("lift" => 213)}, {}, "#{AT}/lining/lift"],
    "widths of a third" => [{"making" => {"widths" => 1.3}}, {}, "#{AT}/making/widths"],
    "widths without number" => [
      {"support" => {"length" => "90 m"}, "making" => {"seam" => "69 cm", "side" => {"kind" => "none"}}},
      {},
      "#{AT}/making/seam"
    ]
  }.freeze

  CASES.each do |name, (treatment, cloth, place)|
    define_method(:"test_#{name.tr(" ", "_")}_is_refused_at_its_place") do
      assert_includes problems(document(treatment: treatment, cloth: cloth)).map(&:first), place
    end
  end

  def test_what_lies_just_beside_is_reckoned
    [
      [{"support" => {"length" => "100 m"}}, {}],
      [{"opening" => {"kind" => "pair", "split" => 0.01}}, {}],
      [{}, {"shrink_percent" => 49.99}],
      [{}, {"vertical_repeat" => 0}],
      [{"heading" => D::WAVE.merge("hook_pitch" => 8)}, {}],
      [{"heading" => D::PLEATS.merge("pleats" => 2)}, {}],
      [{"drop" => {"offset" => -213.9}}, {}],
      [{}, {"pieces" => [{"id" => "p", "length" => 1000, "flaws" => [{"from" => 0, "to" => 1000}]}]}]
    ].each do |treatment, cloth|
      assert_empty problems(document(treatment: treatment, cloth: cloth)), [treatment, cloth].inspect
    end
  end

  def test_every_problem_is_found_at_once
    places = problems(
      document(
        treatment: {
          "face" => "nowhere",
          "drop" => {"readings" => []},
          "overlap" => "x",
          "heading" => D::WAVE.merge("hook_pitch" => 1)
        },
        cloth: {"use" => "sail"}
      )
    ).map(&:first)
    ["#{AT}/face", "#{AT}/drop/readings", "#{AT}/overlap", "#{AT}/heading/hook_pitch", "/cloths/0/use"].each do |place|
      assert_includes places, place
    end
  end

  def test_two_things_of_one_id
    made = document
    made["cloths"] << made["cloths"].first
    made["windows"] << made["windows"].first
    assert_equal %w[/cloths/2/id /windows/1/id /windows/1/treatments/0/id],
      problems(made).select { |_, code| code == :same_id }.map(&:first)
  end

  def test_the_head_of_the_document
    assert_equal [["/format", :not_a_choice]], problems(document.merge("format" => "other"))
    assert_equal [["/version", :too_many]], problems(document.merge("version" => 2))
    assert_includes problems(document.merge("unit" => "ell")), ["/unit", :not_a_choice]
    assert_equal [["/windows", :not_a_list]], problems(document.merge("windows" => {}))
    assert_equal [["/windows", :missing]], problems(document.except("windows"))
  end
end
