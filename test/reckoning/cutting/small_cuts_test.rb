# frozen_string_literal: true

require "documents_helper"

# What a plan leaves over, and the small parts that are fitted into it.
class SmallCutsTest < EarnestFoldTest
  include DocumentsHelper

  C = R::Cutting

  def test_small_parts_lie_inside_and_never_over_each_other
    random = Random.new(12)
    placed = 0
    80.times do |seed|
      leftovers = Array.new(1 + random.rand(4)) { leftover(100 + random.rand(1500), 300 + random.rand(1000)) }
      cuts =
        Array.new(1 + random.rand(12)) do |index|
          C::SmallCut.new(
            id: index.to_s,
            kind: "patch",
            across: mm(50 + random.rand(600)),
            along: mm(50 + random.rand(400))
          )
        end
      fitted = C::SmallCuts.new(cuts, leftovers)
      assert_equal cuts.size, fitted.placed.size + fitted.unplaced.size
      fitted
        .placed
        .group_by(&:leftover)
        .each { |index, together| assert_apart(together, leftovers[index], "seed #{seed}") }
      placed += fitted.placed.size
    end
    assert_operator placed, :>, 200
  end

  def test_what_finds_no_place_is_bought
    cloth = treatment.treatment.face
    cuts = Array.new(3) { C::SmallCut.new(id: "a", kind: "tieback", across: mm(590), along: mm(240)) }
    assert_equal mm(0), C::SmallCuts.new(cuts, [leftover(800, 700)]).to_buy(cloth)
    # Two lie side by side across 138 cm of cloth, the third begins a row.
    assert_equal mm(480), C::SmallCuts.new(cuts, []).to_buy(cloth)
    assert_equal mm(240), C::SmallCuts.new(cuts, [leftover(240, 600)]).to_buy(cloth)
  end

  def test_a_part_wider_than_the_cloth_runs_along_it
    frill = C::SmallCut.new(id: "f", kind: "frill", across: mm(2660), along: mm(130))
    fitted = C::SmallCuts.new([frill], [leftover(2700, 130)])
    assert_predicate fitted.placed.first, :turned
    assert_equal mm(2660), C::SmallCuts.new([frill], []).to_buy(treatment.treatment.face)
  end

  def test_leftovers_are_what_no_cut_takes_and_no_flaw_spoils
    cloth = cloth_with("length" => 10_000, "flaws" => [{"from" => 6200, "to" => 6300}])
    cuts = [cut(1, 0), cut(2, 2000)]
    plan = C::Plan.new(
      pieces: [
        C::PiecePlan.new(id: "p", batch: "", length: mm(10_000), placed: [placed(cuts[0], 100), placed(cuts[1], 3000)])
      ],
      uncut: [],
      proved: true,
      bound: mm(0)
    )
    left = C::Leftovers.of(cloth, plan, slit: [cuts[1]])
    assert_equal [
      [:remnant, 5000, 1200],
      [:remnant, 6300, 3700],
      [:between, 0, 100],
      [:between, 2100, 900],
      [:half_width, 3000, 2000]
    ],
      left.map { |one| [one.kind, one.from.mm.to_i, one.along.mm.to_i] }
    assert_equal [1380, 690], left.map { |one| one.across.mm.to_i }.uniq
  end

  def test_what_a_leftover_still_makes
    assert_equal({"patch" => 9, "tab" => 10}, C::Uses.of(leftover(202, 1380)).slice("patch", "tab"))
    assert_empty C::Uses.of(leftover(60, 1380))
    assert_equal 2, C::Uses.of(leftover(300, 1380))["tieback"]
  end

  def test_a_slit_width_alone_leaves_its_other_half
    made = treatment(treatment: {"opening" => {"kind" => "one_way_left"}, "making" => {"widths" => 2.5}})
    assert_equal [["single", 3]], C::Demand.slit([made], made.treatment.face).map { |cut| [cut.curtain, cut.number] }
    pair = treatment(treatment: {"making" => {"widths" => 2.5}})
    assert_empty C::Demand.slit([pair], pair.treatment.face)
  end

  def test_tabs_are_counted_from_the_heading
    heading = {
      "kind" => "tab_top",
      "fullness" => 1.5,
      "top_turn" => 1.5,
      "tab_width" => 5,
      "tab_drop" => 5,
      "tab_spacing" => 16
    }
    made = treatment(treatment: {"heading" => heading, "support" => {"kind" => "pole", "diameter" => 2.8}})
    wanted = C::PartsWanted.by_cloth([], [made])
    assert_equal made.curtains.sum { |curtain| curtain.heading[:tabs] }, wanted.fetch("c").first.part.count
    assert_empty C::PartsWanted.by_cloth([], [treatment])
  end

  def test_a_part_of_a_document_says_its_cloth
    made = read(
      document(small_parts: [{"id" => "a", "kind" => "patch", "width" => 10, "height" => 12, "cloth" => "l"}])
    )
    assert_equal ["l"], C::PartsWanted.by_cloth(made.small_parts, []).keys
    assert_equal [["/small_parts/0/cloth", :no_such_cloth]],
      problems(
        document(
          small_parts: [{"id" => "a", "kind" => "patch", "width" => 10, "height" => 12, "cloth" => "x"}]
        )
      )
  end

  private

  def mm(number) = R::Length.mm(number)

  def leftover(along, across) =
    C::Leftover.new(kind: :remnant, piece: "p", from: mm(0), along: mm(along), across: mm(across))

  def cut(number, start) =
    C::Cut.new(treatment: "t", curtain: "left", number: number, phase: nil, start: nil, length: mm(2000))

  def placed(cut, from) = C::Placed.new(cut: cut, from: mm(from), to: mm(from) + cut.length)

  def cloth_with(piece) =
    read(
      document(
        cloth: {
          "pieces" => [
            piece.merge(
              "id" => "p",
              "length" => "#{piece["length"]} mm",
              "flaws" => piece["flaws"].map { |flaw| flaw.transform_values { |at| "#{at} mm" } }
            )
          ]
        }
      )
    ).cloths.first

  def assert_apart(placed, leftover, message)
    boxes = placed.map { |one| box(one) }
    boxes.each do |from, aside, to, beyond|
      assert from >= mm(0) && aside >= mm(0) && to <= leftover.along && beyond <= leftover.across, message
    end
    boxes.combination(2) do |one, other|
      assert one[0] >= other[2] || other[0] >= one[2] || one[1] >= other[3] || other[1] >= one[3], message
    end
  end

  def box(one)
    along, across = one.turned ? [one.cut.across, one.cut.along] : [one.cut.along, one.cut.across]
    [one.from, one.aside, one.from + along, one.aside + across]
  end
end
