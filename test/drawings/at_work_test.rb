# frozen_string_literal: true

require "cgi"
require "documents_helper"

# Drawings of an operation as the cloth lies: to scale, in its own order, and only where it is done.
class AtWorkDrawingsTest < EarnestFoldTest
  include DocumentsHelper

  D = EarnestFold::Drawings
  W = R::MakingUp
  POCKETED = {
    "kind" => "pleater_hook", "fullness" => 2, "pocket_pitch" => 2.5, "skips" => [4, 3, 3], "edge" => 4,
    "top_turn" => 3, "tape_below" => 1, "tape_turn_in" => 2
  }.freeze

  def test_the_prongs_stand_in_the_pockets_that_are_told
    step = steps("heading" => POCKETED)["put_in_hooks"]
    drawn = D::InPockets.new(step).to_s
    first = step.figures[:pockets_of].first
    first.each { |pocket| assert_includes drawn, ">#{pocket}</text>" }
    assert_includes drawn, "the last: #{step.figures[:pockets_of].last.join(", ")}"
    assert_equal step.figures[:pockets_of].count { |prongs| prongs.last <= D::InPockets::MOST } * first.size,
      drawn.scan('class="prong"').size
  end

  def test_counted_pockets_have_a_hook_in_the_first_and_the_last
    heading = {"kind" => "pencil_pleat", "fullness" => 2, "pocket_pitch" => 2, "pockets_a_hook" => 4}
    step = steps("heading" => heading)["put_in_hooks"]
    hooks = D::InPockets.hooks(step)
    assert_equal [[1], [5], [step.figures[:pockets]]], [hooks[0], hooks[1], hooks.last]
    refute D::InPockets.draws?(steps({})["put_in_hooks"])
  end

  def test_a_tape_is_drawn_where_it_is_laid_and_sewn
    made = steps("heading" => POCKETED)
    heading = treatment(treatment: {"heading" => POCKETED}).treatment.heading
    told = %w[lay_tape sew_tape].to_h { |code| [code, tape_ends(made[code], heading)] }
    told.each_value { |drawn| assert_match(/1\.0 cm below the top.*2\.0 cm turned in/m, drawn) }
    assert_includes told["lay_tape"], "pinned-now"
    assert_includes told["sew_tape"], "sewn-now"
    refute D::TapeEnds.draws?(made["sew_hem"], heading)
    refute_includes told["sew_tape"], "knot"
    assert_includes told["lay_tape"], "tape-pocket"
  end

  def test_the_top_row_is_sewn_alone_and_cords_are_knotted_at_the_leading_edge
    raw = {"kind" => "pencil_pleat", "fullness" => 2, "top_turn" => 4, "tape_sewn" => "top_row_first"}
    heading = treatment(treatment: {"heading" => raw}).treatment.heading
    made = steps("heading" => raw)
    top, lower = %w[sew_top_row sew_second_row].map { |code| tape_ends(made[code], heading) }
    rows = ->(drawn) { drawn.scan(/y1="([\d.]+)"[^>]*sewn-now/).flatten.uniq }
    assert_equal [1, 1], [rows.call(top).size, rows.call(lower).size]
    assert_operator rows.call(top).first.to_f, :<, rows.call(lower).first.to_f
    assert_equal 2, top.scan('class="knot"').size
  end

  def test_a_wide_curtain_moves_over_the_table_to_its_return
    curtain = treatment(treatment: {"making" => {"widths" => 5}}).curtains.first
    table = R::Length.mm(3000)
    drawn = D::OverTable.new(curtain, table, R::Units::CM, colour: "#fff").to_s
    ends = W::Sections.of(curtain, table)
    assert_equal ends.size, drawn.scan('class="table-under"').size
    assert_equal ends.size - 1, drawn.scan('class="done-already"').size
    ends.each { |to| assert_includes drawn, EarnestFold::Words.length(to, R::Units::CM) }
  end

  def test_a_corner_is_folded_from_the_side_to_the_hem
    lining = {"cloth" => "l", "lift" => 0.3, "side_turn" => 2, "hem" => {"kind" => "none"}}
    step = steps("lining" => lining, "method" => "lining_under_hem")["mitre_corners"]
    assert D::Mitre.draws?(step)
    assert_match(/from the side.s 4\.0 cm to the hem.s 8\.0 cm/,
      CGI.unescapeHTML(D::Mitre.new(step, R::Units::CM, colour: "#fff").to_s))
  end

  private

  def steps(changes)
    W::Order.new(treatment(treatment: changes), R::HouseRules::USUAL).steps.to_h { |step| [step.code, step] }
  end

  def tape_ends(step, heading) =
    D::TapeEnds.new(step, heading, R::Length.cm(4), R::Units::CM, colour: "#fff").to_s
end
