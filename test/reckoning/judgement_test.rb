# frozen_string_literal: true

require "documents_helper"

# The judgement: each line is raised by a document made for it, silent beside it, and a question is asked once.
class JudgementTest < EarnestFoldTest
  include DocumentsHelper

  D = DocumentsHelper
  LINED = {"lining" => {"cloth" => "l", "lift" => 2.5}}.freeze
  TAPE = {"kind" => "fixed_pitch", "fullness" => 2, "pitch" => 10}.freeze
  # Those that speak of alterations alone have their cases in altering_test.rb.
  OF_ALTERATIONS = %w[two_unknowns keep_made_hem one_makes_two label_kept price_by_time seam_past_hem].freeze
  # code => [what raises it, what doesn't]: changes to the treatment, and to the cloth
  CASES = {
    "which_length" => [[{}], [{"drop" => {"measured_from" => "glider_eye", "measured_to" => "floor"}}]],
    "hang_to" => [[{"drop" => {"readings" => [214, 216]}}], [{}]],
    "stack_side" => [[{"opening" => {"kind" => "one_way_left"}}], [{}]],
    "ends_covered" => [[{"support" => {"kind" => "pole"}}], [{}]],
    "moves_in_wind" => [
      [{"site" => {"opens" => true}}, {"mass" => 90}],
      [{"site" => {"opens" => true}}, {"mass" => 300}]
    ],
    "above_worktop" => [[{"drop" => {"measured_to" => "worktop"}}], [{"drop" => {"measured_to" => "floor"}}]],
    "cords_in_reach" => [
      [{"site" => {"small_children" => true}}],
      [{"site" => {"small_children" => true}, "heading" => TAPE}]
    ],
    "count_dictates" => [[{"heading" => TAPE}], [{}]],
    "even_count" => [[{"heading" => D::WAVE}], [{}]],
    "ends_need_hook" => [[{"heading" => TAPE}], [{}]],
    "hardware_first" => [[{}], [{"support" => {"carriers" => 40}}]],
    "thin_look" => [[{"making" => {"widths" => 1}}], [{}]],
    "percent_meaning" => [
      [{"heading" => {"kind" => "pencil_pleat", "fullness" => {"percent_total" => 220}}}],
      [{}]
    ],
    "over_rating" => [[{}, {"mass" => 300}], [{"support" => {"rating" => 50}}, {"mass" => 300}]],
    "selvedge_shows" => [[{}, {"vertical_repeat" => 30}], [{}]],
    "cloth_relaxes" => [[{}, {"mass" => 300}], [{}, {"mass" => 299}]],
    "test_heat" => [[{"heading" => D::PLEATS}], [{}]],
    "spare_or_exact" => [[{"making" => {"squaring" => 3}}], [{}]],
    "lining_schools" => [[LINED], [{}]],
    "join_place" => [[{"making" => {"widths" => 1.5}}], [{}]],
    "near_edge" => [[{"support" => {"length" => 242.9}}], [{"support" => {"length" => 242}}]],
    "pays_to_give" => [[{"support" => {"length" => 250}}], [{}]],
    "level_pattern" => [
      [{}, {"vertical_repeat" => 30}],
      [{"pattern" => {"place" => "hem"}}, {"vertical_repeat" => 30}]
    ],
    "stands_in_the_way" => [
      [{"support" => {"projection" => 8}, "wall" => {"handle" => {"stands_off" => 7}}}],
      [{"support" => {"projection" => 20}, "wall" => {"handle" => {"stands_off" => 7}}}]
    ],
    "flame_public" => [[{"site" => {"public_room" => true}}], [{}]]
  }.freeze
  NO_HEM = {"making" => {"hem" => {"kind" => "none", "depth" => 0}}}.freeze
  ONE = {"opening" => {"kind" => "one_way_left"}}.freeze
  BAGGED = D.const_get(:TREATMENT).slice("making").merge(
    "lining" => {"cloth" => "l", "lift" => 3, "inset" => 3.5, "side_turn" => 1.5},
    "method" => "bagged_hem_first"
  ).freeze
  TABLED = LINED.merge("method" => "tabled").freeze
  IN_HEM = LINED.merge("method" => "lining_under_hem").freeze
  PRONGED = {"kind" => "pleater_hook", "fullness" => 2, "pocket_pitch" => 2.5, "skips" => [3, 3, 3], "edge" => 2}.freeze
  EYED = {"heading" => D::EYELETS, "support" => {"kind" => "pole", "diameter" => 3}}.freeze
  # At Making and Hanging: changes to the treatment, to the cloth, to the house. What is raised for whatever is made
  # has nothing beside it that is silent but a window without a cloth.
  MADE = {
    "wrap_measured" => [[BAGGED], [LINED]],
    "own_line_true" => [[TABLED], [LINED]],
    "creeps" => [[{}, {"creeps" => true}], [{}]],
    "pieces_counted" => [[{"heading" => PRONGED.merge("end_hooks" => true)}], [{}]],
    "curls" => [[{}, {"curls" => true}], [{}]],
    "no_sticky_tape" => [[{}, {"mass" => 120}], [{}, {"mass" => 200}]],
    "same_direction" => [[BAGGED], [LINED]],
    "hem_fold_check" => [[{}], [NO_HEM]],
    "weights_by_hand" => [[{}], [NO_HEM]],
    "corner_proud" => [[{}], [{}, {}, {"stitching" => "machine"}]],
    "square_each_width" => [[{"making" => {"widths" => 3}}], [{}]],
    "sweep_air" => [[LINED], [LINED.merge("making" => {"widths" => 1})]],
    "lift_dont_pull" => [
      [{}, {"mass" => 900}, {"lift_limit" => 2}],
      [{}, {"mass" => 900}, {"lift_limit" => 50}]
    ],
    "mirror_view" => [[{}], nil],
    "tape_side" => [[{}], [EYED.merge("heading" => D::EYELETS.except("tape_pitch"))]],
    "tape_end" => [[{}], [{"heading" => D::PLEATS}]],
    "cords_knotted" => [[{}], [{"heading" => D::WAVE}]],
    "try_before_sewing" => [[{}], [{"heading" => D::PLEATS}]],
    "rope_tape" => [[{}], [{"heading" => D::PLEATS}]],
    "ring_drawn" => [[EYED], [{}]],
    "never_crease" => [
      [{"heading" => {"kind" => "rod_pocket", "fullness" => 2, "frill" => 4, "pocket" => 5}}],
      [{"heading" => {"kind" => "rod_pocket", "fullness" => 2, "pocket" => 5}}]
    ],
    "pair_before_sewing" => [[{}], [ONE]],
    "second_copies_first" => [[{}], [ONE]],
    "cut_right_layer" => [[{"making" => {"trim" => "to_fullness"}}], [{}]],
    "chain_clear" => [[{"weighting" => "chain"}], [{}]],
    "middle_too" => [[{}], nil],
    "needle_down" => [[{}, {"mass" => 400}], [{}, {"mass" => 200}]],
    "pins_aslant" => [[TABLED], [LINED]],
    "yardstick" => [[LINED], [{}]],
    "wavy_selvedge" => [[TABLED, {"selvedge_in_seam" => true}], [TABLED]],
    "curved_needle" => [[LINED], [{}]],
    "stop_below_top" => [[LINED], [BAGGED]],
    "lining_long" => [[BAGGED], [LINED]],
    "mitred_corner" => [[IN_HEM], [LINED]],
    "tack_bumps" => [[{}, {"mass" => 120}], [{}, {"mass" => 200}]],
    "overcast_edge" => [[{"making" => {"trim" => "to_fullness"}}, {"frays" => true}], [{}, {"frays" => true}]],
    "prints_transfer" => [[{}, {"printed" => true}], [{}]],
    "press_from_behind" => [[LINED], [{}]],
    "one_thread" => [[{}], [{}, {}, {"stitching" => "machine"}]],
    "two_rows_of_pins" => [[{}], [{"heading" => D::PLEATS}]],
    "both_rows_one_way" => [[{}], [{"heading" => D::PLEATS}]],
    "far_end_first" => [[{}], [{"heading" => D::WAVE}]],
    "flat_to_draw" => [[{}], [{"heading" => D::WAVE}]],
    "knot_past_hook" => [[{}], [{"heading" => D::WAVE}]],
    "pocket_not_cord" => [[{}], [{"heading" => D::WAVE}]],
    "first_and_last_pocket" => [[{}], [{"heading" => D::WAVE}]],
    "pockets_together" => [[{"heading" => PRONGED}], [{}]],
    "tab_outside" => [[EYED], [{}]],
    "snap_and_twist" => [[EYED], [{}]],
    "honest_pleat" => [[{"heading" => {"kind" => "webbing", "fullness" => 2, "top_turn" => 10}}], [{}]],
    "hem_wears" => [[{"drop" => {"offset" => 3}}], [{}]],
    "control_behind" => [[{"wall" => {"cords" => {"from_left" => 3}}}], [{}]],
    "count_before_hanging" => [[{}], nil],
    "support_weight" => [[{}], nil],
    "drill_behind" => [[{}], nil],
    "tag_it" => [[{}], nil],
    "cords_kept" => [[{}], [{"heading" => D::WAVE}]],
    "dress_and_set" => [[{"heading" => D::WAVE}], [{}]],
    "rehang_way" => [[{"heading" => {"kind" => "clip_ring", "fullness" => 1.6, "clip_spacing" => 14}}], [{}]],
    "s_hooks" => [[{"heading" => {"kind" => "webbing", "fullness" => 2}}], [{}]]
  }.freeze
  # Raised by every measured window until answered; and one that depends on the lining's cloth.
  APART = %w[support_fitted coated_inside layer_behind slow_needle no_pinholes].freeze

  CASES.each do |code, (raising, silent)|
    define_method(:"test_#{code}") do
      remark = remarks(*raising).find { |raised| raised.code == code }
      assert remark, "#{code} is not raised"
      refute_match(/%\{/, EarnestFold::Words.remark(remark, R::Units::CM))
      refute_includes remarks(*silent).map(&:code), code
    end
  end

  MADE.each do |code, (raising, silent)|
    define_method(:"test_#{code}_when_it_is_made") do
      remark = remarks(*raising).find { |raised| raised.code == code }
      assert remark, "#{code} is not raised"
      refute_match(/%\{/, EarnestFold::Words.remark(remark, R::Units::CM))
      refute_includes remarks(*silent).map(&:code), code if silent
      unless silent
        refute_includes R::Judgement.of(treatment.treatment, nil, house: R::HouseRules::USUAL).map(&:code), code
      end
    end
  end

  def test_a_wide_strip_that_is_trimmed_off_is_kept
    trimmed = {"making" => {"trim" => "to_fullness"}, "support" => {"length" => 150}}
    assert_includes remarks(trimmed).map(&:code), "keep_offcuts"
    refute_includes remarks(trimmed, {}, {"offcut_least" => 120}).map(&:code), "keep_offcuts"
  end

  # At the table: changes to the cut, to the house, to the cloth.
  AT_TABLE = {
    "one_way_cut" => [[{}, {}, {"one_way" => true}], [{}]],
    "shade_batch" => [[{batches: %w[7 8]}], [{}]],
    "measure_delivery" => [[{measured: false}], [{measured: nil}]],
    "square_end" => [[{first_on_piece: true}], [{}]],
    "keep_side" => [[{}], nil],
    "recheck_first" => [[{first_of_treatment: true}], [{}]],
    "in_sections" => [[{length: R::Length.cm(310)}], [{}]],
    "clean_ground" => [[{first_on_cloth: true}, {"cut_on" => "floor"}], [{first_on_cloth: true}]],
    "mark_comes_out" => [[{first_on_cloth: true}], [{}]],
    "fraying" => [[{}, {}, {"frays" => true}], [{}]],
    "keep_offcuts" => [
      [
        {
          leftover: R::Cutting::Leftover.new(
            kind: :remnant,
            piece: "p",
            from: R::Length::ZERO,
            along: R::Length.cm(30),
            across: R::Length.cm(138)
          )
        }
      ],
      [
        {
          leftover: R::Cutting::Leftover.new(
            kind: :remnant,
            piece: "p",
            from: R::Length::ZERO,
            along: R::Length.cm(29),
            across: R::Length.cm(138)
          )
        }
      ]
    ],
    "hot_tools" => [[{first_on_piece: true}, {"cutter" => "heat"}], [{first_on_piece: true}]],
    "blades_needles" => [[{first_on_piece: true}, {"cutter" => "rotary"}], [{first_on_piece: true}]]
  }.freeze

  AT_TABLE.each do |code, (raising, silent)|
    define_method(:"test_#{code}_at_the_table") do
      remark = at_table(*raising).find { |raised| raised.code == code }
      assert remark, "#{code} is not raised"
      refute_match(/%\{/, EarnestFold::Words.remark(remark, R::Units::CM))
      refute_includes at_table(*silent).map(&:code), code if silent
    end
  end

  def test_wide_cloth_and_printed_cloth_have_words_of_their_own
    assert_match(
      /cloth is 280.0 cm wide/,
      EarnestFold::Words.remark(
        at_table({}, {}, {"width" => 280}).find { |one| one.code == "in_sections" },
        R::Units::CM
      )
    )
    assert_match(
      /nothing is reckoned for it.*print against the selvedge/,
      EarnestFold::Words.remark(
        at_table({first_on_piece: true}, {}, {"vertical_repeat" => 30}).find { |one| one.code == "square_end" },
        R::Units::CM
      )
    )
  end

  # A worktop below and a window that opens: one thing is said, not two that contradict each other.
  def test_what_must_stay_clear_is_never_told_to_touch
    airy = {"site" => {"opens" => true}}
    said = ->(more) do
      remarks(airy.merge(more), {"mass" => 90}).map { |remark| EarnestFold::Words.remark(remark, R::Units::CM) }
    end
    assert(said.call({}).any? { |words| words.include?("leave it touching") })
    [{"wall" => {"worktop" => {"width" => 80}}}, {"wall" => {"radiator" => {"width" => 80}}}].each do |below|
      refute(said.call(below).any? { |words| words.include?("touching") }, below)
    end
  end

  def test_a_question_is_asked_once
    made = treatment
    assert_includes R::Judgement.of(made.treatment, made, house: R::HouseRules::USUAL).map(&:code), "support_fitted"
    refute_includes R::Judgement.of(made.treatment, made, ["support_fitted"], house: R::HouseRules::USUAL).map(&:code),
      "support_fitted"
  end

  def test_a_caution_is_never_switched_off
    made = treatment(treatment: {"site" => {"public_room" => true}})
    assert_includes R::Judgement.of(made.treatment, made, ["flame_public"], house: R::HouseRules::USUAL).map(&:code),
      "flame_public"
  end

  def test_a_coated_lining_lies_inside
    made = document(treatment: LINED)
    refute_includes codes(made), "coated_inside"
    refute_includes codes(made), "slow_needle"
    made["cloths"][1]["coated"] = true
    assert_empty %w[coated_inside slow_needle no_pinholes] - codes(made)
  end

  # The sheer behind stands 9 cm off and its folds swing 3 cm; with 2 cm between, the front one needs a return of 14.
  def test_the_front_return_clears_the_layer_behind
    behind = treatment(treatment: {"support" => {"projection" => 9}}).treatment
    remark =
      layered({"return_left" => 10, "return_right" => 10}, behind).find { |raised| raised.code == "layer_behind" }
    assert_equal :short, remark.data[:form]
    assert_equal remark.data[:reach] + R::HouseRules::USUAL.layer_gap, remark.data[:needed]
    clear = remark.data[:needed].mm.to_i
    said = layered({"return_left" => "#{clear} mm", "return_right" => "#{clear} mm"}, behind)
    refute_includes said.map(&:code), "layer_behind"
    assert_equal :unknown, layered({}, treatment.treatment).find { |raised| raised.code == "layer_behind" }.data[:form]
    assert_empty layered({}, nil).select { |raised| raised.code == "layer_behind" }
  end

  def test_a_stack_before_the_glass_is_asked_about
    glass = {"wall" => {"glass" => {"from_left" => 10, "width" => 160}}}
    remark = remarks(glass).find { |raised| raised.code == "stack_side" }
    assert_equal :glass, remark.data[:form]
    assert_operator remark.data[:clear], :<, R::Length.mm(1600)
    said = remarks({"wall" => {"glass" => {"from_left" => 80, "width" => 10}}})
    refute_includes said.map(&:code), "stack_side"
  end

  def test_what_a_rule_says_follows_what_raised_it
    {
      [{"wall" => {"radiator" => {"width" => 80}}}] => :heat,
      [{"wall" => {"worktop" => {"width" => 80}}}] => :worktop
    }.each do |raising, form|
      assert_equal form, remarks(*raising).find { |raised| raised.code == "above_worktop" }.data[:form]
    end
    assert_equal :loose, remarks({}, {"loose" => true}).find { |raised| raised.code == "cloth_relaxes" }.data[:form]
    assert_includes remarks(
      {
        "heading" => TAPE,
        "site" => {"small_children" => true},
        "wall" => {"cords" => {"from_left" => 3}}
      }
    ).map(&:code),
      "cords_in_reach"
  end

  # What the readings leave open counts as far as they lie apart, and whoever ordered a width has decided.
  def test_what_is_near_an_edge_is_measured_again
    near = ->(**changes) { said(**changes).find { |remark| remark.code == "near_edge" }&.data }
    repeats = {"vertical_repeat" => 60}
    drop = {"drop" => {"readings" => [215.5, 216.1], "offset" => 0}}
    assert_equal :repeats, near.call(treatment: drop, cloth: repeats.merge("vertical_repeat" => 59))&.fetch(:form)
    assert_nil near.call(treatment: {"ordered" => {"finished_width" => 131.4}})
    wave = {"heading" => D::WAVE, "support" => {"length" => 139.9}, "return_left" => 0, "return_right" => 0}
    assert_equal [:counts, 2r], near.call(treatment: wave.merge("overlap" => 20)).values_at(:form, :more)
  end

  def test_what_giving_saves_is_told_with_its_price
    told = said(treatment: {"support" => {"length" => 250}}, cloth: {"price" => "20.00"})
    words = EarnestFold::Words.remark(told.find { |remark| remark.code == "pays_to_give" }, R::Units::CM)
    assert_match(/Made 1\.94 times full instead of 2, it takes 2 widths less: 4\.[67] m of the face/, words)
    assert_match(/saved, 9\d\.00/, words)
  end

  # Everything an experienced maker would say, by its code: each is a rule, or a check that speaks with the same
  # condition.
  PAGE = %w[which_length support_fitted readings_spread stack_side layer_behind ends_covered moves_in_wind above_worktop
    cords_in_reach control_behind count_dictates even_count ends_need_hook hardware_first thin_look percent_meaning
    selvedge_shows cloth_relaxes test_heat spare_or_exact lining_schools wrap_measured coated_inside join_place
    level_pattern one_way_cut shade_batch measure_delivery square_end keep_side recheck_first in_sections own_line_true
    clean_ground mark_comes_out fraying creeps curls no_sticky_tape slow_needle no_pinholes same_direction
    hem_fold_check weights_by_hand corner_proud square_each_width sweep_air lift_dont_pull mirror_view tape_side
    tape_end cords_knotted try_before_sewing rope_tape ring_drawn never_crease pair_before_sewing second_copies_first
    cut_right_layer keep_offcuts count_before_hanging support_weight cords_kept dress_and_set over_rating flame_public
    s_hooks hem_wears hot_tools blades_needles drill_behind two_unknowns keep_made_hem one_makes_two label_kept
    price_by_time tag_it far_end_first flat_to_draw knot_past_hook pocket_not_cord first_and_last_pocket
    two_rows_of_pins both_rows_one_way mitred_corner press_from_behind prints_transfer tack_bumps overcast_edge
    one_thread curved_needle stop_below_top pins_aslant yardstick lining_long middle_too wavy_selvedge tab_outside
    snap_and_twist pockets_together needle_down honest_pleat chain_clear rehang_way near_edge pays_to_give
    pieces_counted].freeze

  def test_nothing_that_is_to_be_said_is_missing
    assert_empty PAGE - R::Judgement::Rules.names - R::Checks::Kinds.names
  end

  def test_every_rule_has_its_case_and_its_words
    assert_equal R::Judgement::Rules.names.sort,
      (CASES.keys + AT_TABLE.keys + MADE.keys + APART + OF_ALTERATIONS).sort
    R::Judgement::Rules.each do |rule|
      assert rule.made || rule.altered || rule.touching, rule.code
      assert worded?("judgement.#{rule.code}")
      assert EarnestFold::Words.say?("answered.#{rule.code}") if rule.manner == :ask
    end
  end

  private

  # In one form or several.
  def worded?(key) = EarnestFold::Words.keys.any? { |known| known == key || known.start_with?("#{key}_") }

  def layered(changes, behind)
    made = treatment(treatment: changes)
    R::Judgement
      .of(made.treatment, made, behind: behind, house: R::HouseRules::USUAL)
      .each { |remark| refute_match(/%\{/, EarnestFold::Words.remark(remark, R::Units::CM)) }
  end

  # Whatever is said of it, at any station or step.
  def remarks(treatment, cloth = {}, house = {})
    made = treatment(treatment: treatment, cloth: cloth)
    all_said(made, R::HouseRules.read(house, R::Units::CM))
  end

  def all_said(made, house)
    looked_at = R::JudgementCase.new(
      treatment: made.treatment,
      reckoning: made,
      behind: nil,
      house: house,
      counted: nil,
      cutting: nil
    )
    at_work = R::Judgement.at_steps(looked_at, R::MakingUp::Order.new(made, house).steps).values.flatten
    R::Judgement.of(made.treatment, made, house: house) + at_work
  end

  def at_table(cut, house = {}, cloth = {})
    made = treatment(cloth: cloth)
    usual = R::CutCase.new(
      cloth: made.treatment.face,
      length: made.cut_drop,
      measured: true,
      batches: ["7"],
      first_on_piece: false,
      first_of_treatment: false,
      first_on_cloth: false,
      leftover: nil
    )
    R::Judgement.of(
      made.treatment,
      made,
      station: "cutting",
      house: R::HouseRules.read(house, R::Units::CM),
      cutting: usual.with(**cut)
    )
  end

  def said(**changes) = all_said(treatment(**changes), R::HouseRules::USUAL)

  def codes(document)
    all_said(reckoned(document).treatments.first, R::HouseRules::USUAL).map(&:code)
  end
end
