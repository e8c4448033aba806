# frozen_string_literal: true

require "documents_helper"

# What a top may have beside its heading's own figures, and what is made beside the curtains.
class TopsTest < EarnestFoldTest
  include DocumentsHelper

  W = R::MakingUp
  TAPE = {
    "kind" => "pencil_pleat", "fullness" => 2, "top_turn" => 4, "tape_turn_in" => 3, "hook_spacing" => 8
  }.freeze

  def test_the_top_row_first_trims_the_turning_inside_the_tape_and_cannot_rope
    made = treatment(treatment: {"heading" => TAPE.merge("tape_sewn" => "top_row_first")})
    codes = steps(made).keys
    assert_equal %w[turn_top sew_top_row trim_turning sew_second_row draw_up], codes & %w[
      turn_top lay_tape sew_tape sew_top_row trim_turning sew_second_row draw_up
    ]
    refute_includes said(made), "rope_tape"
    assert_includes said(treatment(treatment: {"heading" => TAPE})), "rope_tape"
  end

  def test_a_top_that_takes_nothing_leaves_nothing_to_trim
    made = treatment(treatment: {"heading" => TAPE.merge("tape_sewn" => "top_row_first", "top_turn" => 0)})
    refute_includes steps(made).keys, "trim_turning"
  end

  # Every tape is counted with what is turned in at its ends.
  def test_each_tape_is_needed_with_its_turn_ins
    [{"kind" => "fixed_pitch", "fullness" => 2, "pitch" => 10}, EYELETS].each do |heading|
      made = treatment(treatment: {"heading" => heading.merge("tape_turn_in" => 2)})
      lengths = made.curtains.map { |curtain| curtain.flat_width + R::Length.cm(4) }
      assert_equal lengths.sum(R::Length::ZERO), R::Sundries.of(made)[:tape_length]
    end
    assert_nil R::Sundries.of(treatment(treatment: {"heading" => EYELETS.except("tape_pitch")}))[:tape_length]
  end

  def test_a_frill_is_joined_where_the_cloth_is_narrower
    made = treatment(treatment: {"heading" => TAPE.merge("puffed_frill" => 5), "making" => {"widths" => 2}})
    curtain = made.curtains.first
    frill = made.frill(curtain)
    assert_equal [curtain.flat_width + R::Length.cm(3), R::Length.cm(13)], [frill.length, frill.depth]
    step = steps(made)["make_frill"]
    assert_equal [2, (frill.length + R::Length.cm(3)) / 2], step.figures.values_at(:strips, :strip_each)
    wide = treatment(cloth: {"width" => 300}, treatment: {"heading" => TAPE.merge("puffed_frill" => 5)})
    assert_nil steps(wide)["make_frill"].figures[:strips]
  end

  def test_a_frill_is_cut_from_what_is_over_and_joined_where_no_place_is_long_enough
    cut = C::SmallCut.new(
      id: "f", kind: "frill", across: R::Length.cm(266), along: R::Length.cm(13), joined_by: R::Length.cm("1.5".to_r)
    )
    short = C::Leftover.new(
      kind: :end, piece: "p", from: R::Length::ZERO, along: R::Length.cm(30), across: R::Length.cm(138)
    )
    long = short.with(across: R::Length.cm(280))
    whole = C::SmallCuts.new([cut], [long], R::Length.cm(138))
    assert_equal [R::Length.cm(266)], whole.placed.map { |one| one.cut.across }
    joined = C::SmallCuts.new([cut], [short], R::Length.cm(138))
    assert_equal [R::Length.cm("134.5".to_r)] * 2, joined.placed.map { |one| one.cut.across }
    assert_empty joined.unplaced
  end

  def test_stiffening_lies_between_the_side_turnings_in_all_its_layers
    heading = {
      "kind" => "clip_ring", "fullness" => 1.6, "clip_spacing" => 14, "top_turn" => 3, "stiffening" => 3,
      "stiffening_layers" => 2
    }
    made = treatment(treatment: {"heading" => heading})
    lengths = made.curtains.map { |curtain| curtain.flat_width - R::Length.cm(8) }
    assert_equal lengths.first, steps(made)["stiffen_top"].main
    assert_equal lengths.sum(R::Length::ZERO) * 2, R::Sundries.of(made)[:stiffening]
  end

  def test_a_stage_s_curtain_has_a_tie_or_a_snap_for_each_grommet
    webbing = {"kind" => "webbing", "fullness" => 2, "top_turn" => 10}
    made = treatment(treatment: {"heading" => webbing.merge("fastening" => "ties", "grommet" => 1)})
    assert_equal R::Sundries.of(made)[:eyelets], R::Sundries.of(made)[:ties]
    assert_equal R::Length.cm(1), steps(made)["set_grommets"].figures[:grommet]
    plain = treatment(treatment: {"heading" => webbing})
    refute_includes steps(plain).keys, "put_in_fastenings"
    refute_includes R::Sundries.of(plain).keys, :ties
  end

  # Round 13, ease 1, ends 1/2, in inches: cut 15 by 6, folded to its middle and in half.
  def test_a_tieback_is_cut_as_it_is_folded
    tieback = {"girth" => "13 in", "finished_depth" => "1 1/2 in", "ease" => "1 in", "end_turn" => "1/2 in"}
    made = treatment(treatment: {"tieback" => tieback})
    inches = ->(number) { R::LengthReader.read("#{number} in", R::Units::IN) }
    assert_equal [inches.call(15), inches.call(6), 2], [made.tieback.length, made.tieback.depth, made.tieback.count]
    assert_equal({tiebacks: 2, tieback_rings: 4}, R::Sundries.of(made).slice(:tiebacks, :tieback_rings))
    assert_includes steps(made)["make_tiebacks"].parts.first.said, :folded
    parts = C::PartsWanted.of(made)
    assert_equal [["tieback", "c"]], parts.map { |one| [one.part.class::KIND, one.cloth] }
    assert C::PartsWanted.own?(parts.first.id)
  end

  def test_there_is_no_tieback_before_both_its_sizes_are_known
    assert_nil treatment(treatment: {"tieback" => {"girth" => 52}}).tieback
    assert_nil treatment(treatment: {"tieback" => {"finished_depth" => 6}}).tieback
    assert_nil treatment.tieback
  end

  private

  C = R::Cutting
  private_constant :C

  def steps(made) = W::Order.new(made, R::HouseRules::USUAL).steps.to_h { |step| [step.code, step] }

  def said(made)
    looked_at = R::JudgementCase.new(
      treatment: made.treatment, reckoning: made, behind: nil, house: R::HouseRules::USUAL, counted: nil, cutting: nil
    )
    R::Judgement.at_steps(looked_at, W::Order.new(made, R::HouseRules::USUAL).steps).values.flatten.map(&:code)
  end
end
