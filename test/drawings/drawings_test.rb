# frozen_string_literal: true

require "documents_helper"
require "nokogiri"

# Drawings stand to scale, from the same figures as the tables, and stay small.
class DrawingsTest < EarnestFoldTest
  include DocumentsHelper

  W = EarnestFold::Drawings
  SMALL = 60_000

  def test_seams_of_the_flat_curtain_stand_where_the_figures_say
    made = treatment
    curtain = made.curtains.first
    svg = parse(W::FlatCurtain.of(made, curtain, R::Units::CM, colour: "#ffffff").to_s)
    outline = svg.at_css("rect.outline")
    left, width = outline["x"].to_f, outline["width"].to_f
    seams = svg.css("line.seam").map { |line| line["x1"].to_f }.each_slice(2).map { |pair| pair.sum / 2 }
    wanted = curtain.task.seams.map { |seam| left + width - width * (seam / curtain.flat_width).to_f }
    wanted.zip(seams) { |place, drawn| assert_in_delta place, drawn, 0.2 }
    assert_in_delta (made.finished_drop / curtain.flat_width).to_f, outline["height"].to_f / width, 0.002
  end

  # A valance is too shallow for its drop's words to run beside it: they stand whole below it, inside the drawing.
  def test_the_words_of_a_shallow_drop_stand_whole_below
    made = treatment(treatment: {"drop" => {"readings" => ["12 cm"], "offset" => "0 cm"}})
    svg = parse(W::FlatCurtain.of(made, made.curtains.first, R::Units::CM, colour: "#ffffff").to_s)
    words = svg.css("text").find { |text| text.text.include?("12.0") }
    outline = svg.at_css("rect.outline")
    assert_nil words["transform"]
    assert_operator words["y"].to_f, :>, outline["y"].to_f + outline["height"].to_f + 10
    assert_operator words["y"].to_f, :<, svg.at_css("svg")["viewBox"].split.last.to_f
  end

  # A half width is narrower than what its edge is called: the words stand on a ground of their own, not on the seam.
  def test_no_seam_runs_through_what_an_edge_is_called
    grounds = [6, 6.5].map do |widths|
      made = treatment(treatment: {"making" => {"widths" => widths}})
      svg = parse(W::FlatCurtain.of(made, made.curtains.first, R::Units::CM, colour: "#ffffff").to_s)
      svg.css("text.edge").map { |words| words.previous_element["class"] == "label-ground" }
    end
    assert_equal [[false, false], [false, true]], grounds
  end

  def test_left_is_left
    made = treatment(treatment: {"making" => {"widths" => 2.5}})
    left, right = made.curtains.map { |curtain| seam_side(made, curtain) }
    assert_operator left, :>, 0.5
    assert_operator right, :<, 0.5
  end

  def test_cuts_on_the_bolt_stand_at_their_distances
    made = reckoned(document(cloth: {"vertical_repeat" => 32})).cloths.first
    svg = parse(W::Bolt.endless(made, R::Units::CM, colour: "#ffffff").to_s)
    cuts = svg.css("rect.cut").map { |rect| [rect["x"].to_f, rect["width"].to_f] }
    placed = made.endless.placed
    assert_operator cuts.size, :>=, placed.size
    scale = cuts.first.last / placed.first.cut.length.mm.to_f
    assert_in_delta (placed[1].from - placed[0].from).mm.to_f * scale, cuts[1].first - cuts[0].first, 0.3
  end

  # However short a piece is, and however much it is enlarged, it is as long and as wide as it is.
  def test_a_piece_of_any_length_is_to_scale
    [300, 600, 1400, 2900, 9_000, 40_000].product([0, 1, 2, 4]).each do |long, zoom|
      svg = bolt(long, zoom: zoom)
      figures = %w[width height].map { |name| svg.at_css("rect.outline")[name].to_f }
      each = svg.at_css("rect.ground")["data-each"].to_f
      row = figures.first * each
      assert_in_delta row, [long, row].min, 2
      next if figures.last <= W::Bolt::LEAST_TALL

      assert_in_delta 1400, figures.last * each, 1, [long, zoom]
    end
  end

  # Also where the piece ends with its last cut.
  def test_each_distance_is_told_in_its_row_alone
    made = reckoned(document(cloth: {"vertical_repeat" => 32})).cloths.first
    placed = made.endless.placed
    piece = R::Piece.new(
      id: "P1", length: placed.last.to, batch: "", pattern_start: R::Length::ZERO, flaws: [], squared: false
    )
    svg = parse(W::Bolt.new(made.cloth, piece, placed, R::Units::CM, colour: "#ffffff", zoom: 4).to_s)
    assert_operator svg.css("rect.outline").size, :>, 2
    last = EarnestFold::Words.length(placed.last.to, R::Units::CM)
    assert_equal 1, svg.css("text.figure").count { |one| one.text == last }
  end

  def test_a_short_piece_has_figures_to_its_end
    assert_equal ["0 m", "0.5 m"], bolt(600).css("text.ruler").map(&:text)
    assert_equal ["0 m", "0.5 m", "1 m", "1.5 m"], bolt(1700).css("text.ruler").map(&:text)
    assert_equal ["0 ft", "1 ft", "2 ft"], bolt(700, unit: R::Units::IN).css("text.ruler").map(&:text)
  end

  def test_marks_of_every_heading_keep_their_places
    R::Headings.each do |kind|
      made = treatment(treatment: {"heading" => kind.example, "support" => {"kind" => "pole", "diameter" => 2.8}})
      curtain = made.curtains.first
      svg = parse(W::HeadingMarks.new(made.treatment.heading, curtain, R::Units::CM, colour: "#ffffff").to_s)
      assert svg.at_css("svg")["aria-label"].include?(EarnestFold::Words.say("headings.#{kind.kind}")), kind.kind
      assert_operator svg.css("text.figure").size, :>=, 2
    end
  end

  def test_every_drawing_of_the_worked_jobs_is_well_formed_and_small
    Dir[root("test/golden/*.fold.json")].each do |file|
      job = R::JobReckoning.new(EarnestFold::Documents::JobFormat.read(File.read(file)))
      drawings(job).each do |svg|
        assert_empty Nokogiri::XML(svg, &:strict).errors
        assert_operator svg.bytesize, :<, SMALL, file
      end
    end
  end

  # Beside the longest piece another is drawn as much shorter as it is.
  def test_a_piece_on_the_shelf_is_drawn_to_the_longest
    pieces =
      [R::Length.cm(5000), R::Length.cm(1250)].map do |length|
        R::Cutting::ShelfPiece.read({"delivered" => "#{length.mm.to_i} mm"}, "A", [], R::Problems.new)
      end
    wide =
      pieces
        .map { |piece| W::PieceBar.new(piece, pieces.first.length, "#ffffff").to_s }
        .map { |svg| svg[/<rect[^>]*class="piece-left"/][/ width="([\d.]+)"/, 1].to_f }
    assert_in_delta 4, wide.first / wide.last, 0.05
  end

  private

  def drawings(job)
    bolts =
      job
        .cloths
        .reject { |made| made.endless.placed.empty? }
        .map { |made| W::Bolt.endless(made, job.job.unit, colour: "#ffffff").to_s }
    bolts + job.treatments.flat_map do |made|
      made.curtains.flat_map do |curtain|
        [
          W::FlatCurtain.of(made, curtain, job.job.unit, colour: "#ffffff", lining: true).to_s,
          W::HeadingMarks.new(made.treatment.heading, curtain, job.job.unit, colour: "#ffffff").to_s
        ]
      end
    end
  end

  # A piece that nothing is cut from.
  def bolt(long, unit: R::Units::CM, zoom: 1)
    piece = R::Piece.new(
      id: "P1", length: R::Length.mm(long), batch: "", pattern_start: R::Length::ZERO, flaws: [], squared: false
    )
    cloth = reckoned(document(cloth: {"width" => 140})).cloths.first.cloth
    parse(W::Bolt.new(cloth, piece, [], unit, colour: "#ffffff", zoom: zoom).to_s)
  end

  def parse(svg) = Nokogiri::HTML5.fragment(svg)

  # Where the first seam stands, from 0 at the left to 1 at the right.
  def seam_side(made, curtain)
    svg = parse(W::FlatCurtain.of(made, curtain, R::Units::CM, colour: "#ffffff").to_s)
    outline = svg.at_css("rect.outline")
    (svg.css("line.seam").first["x1"].to_f - outline["x"].to_f) / outline["width"].to_f
  end
end
