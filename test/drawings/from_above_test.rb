# frozen_string_literal: true

require "documents_helper"

# Drawings from above, of whole rooms, of cloths: to scale, inside their sheet, with words for those who can't see them.
class FromAboveTest < EarnestFoldTest
  include DocumentsHelper

  D = EarnestFold::Drawings
  CM = R::Units::CM

  def test_every_heading_is_drawn_closed_and_drawn_back_inside_its_sheet
    R::Headings.each do |kind|
      made = treatment(treatment: {"heading" => kind.example, "support" => {"diameter" => 3}})
      made.curtains.each do |curtain|
        svg = D::HeadingPlan.new(made.treatment, curtain, CM, house: R::HouseRules::USUAL).to_s
        assert_equal 2, svg.scan('class="plan"').size, kind.kind
        assert_match(/aria-label="The heading from above/, svg)
        assert_inside svg, kind.kind
      end
    end
  end

  def test_a_goblet_a_box_and_a_double_pleat_look_different
    drawn = %w[double triple goblet box].map do |style|
      made = treatment(treatment: {"heading" => DocumentsHelper::PLEATS.merge("style" => style)})
      D::HeadingPlan.new(made.treatment, made.curtains.first, CM, house: R::HouseRules::USUAL).to_s
    end
    assert_equal 4, drawn.uniq.size
  end

  # A layer twice as far from the wall is drawn twice as far from it.
  def test_a_windows_layers_stand_off_to_scale
    near, far = [6, 12].map { |off| treatment(treatment: {"support" => {"projection" => off}}) }
    svg = D::WindowPlan.new(
      [near, far].map do |made|
        D::WindowPlan::Layer.new(treatment: made.treatment, curtains: made.curtains, colour: "#ffffff")
      end,
      CM
    ).to_s
    wall = svg[/class="wall"/] && svg[/<line x1="[\d.]+" y1="([\d.]+)"[^>]*class="wall"/, 1].to_f
    rails = svg.scan(/<line x1="[\d.]+" y1="([\d.]+)"[^>]*class="rail-above"/).flatten.map(&:to_f)
    assert_in_delta 2, (rails.last - wall) / (rails.first - wall), 0.02
    assert_inside svg, "window"
  end

  def test_what_nobody_measured_is_dashed
    made = treatment
    svg = D::WindowPlan.new(
      [D::WindowPlan::Layer.new(treatment: made.treatment, curtains: made.curtains, colour: "#ffffff")],
      CM
    ).to_s
    assert_includes svg, 'class="rail-above likely"'
  end

  def test_a_room_has_all_its_curtains_on_one_hem_line_and_one_scale
    tall, short = [214, 107].map { |drop| treatment(treatment: {"drop" => {"readings" => [drop], "offset" => 0}}) }
    svg = D::RoomCurtains.new([["Tall <one>", tall, "#c4cfd3"], ["Short", short, "#c4cfd3"]], CM).to_s
    outlines =
      svg
        .scan(/<rect x="[\d.-]+" y="([\d.]+)" width="[\d.]+" height="([\d.]+)" class="outline"/)
        .map { |pair| pair.map(&:to_f) }
    assert_equal 4, outlines.size
    assert_equal 1, outlines.map { |y, height| (y + height).round }.uniq.size
    assert_in_delta 2, outlines.first.last / outlines.last.last, 0.01
    assert_includes svg, "Tall &lt;one&gt;"
    assert_inside svg, "room"
  end

  def test_a_cloth_is_drawn_with_its_repeat_and_how_it_matches
    straight, dropped =
      %w[straight half_drop].map do |match|
        treatment(cloth: {"vertical_repeat" => 64, "match" => match}).treatment.face
      end
    plain = treatment.treatment.face
    one, other, bare = [straight, dropped, plain].map { |cloth| D::ClothSample.new(cloth, CM, colour: "#c9d2bd").to_s }
    refute_equal one, other
    assert_includes one, 'class="repeat"'
    refute_includes bare, 'class="repeat"'
    [one, other, bare].each { |svg| assert_inside svg, "cloth" }
  end

  def test_a_silhouette_keeps_its_proportions_and_escapes_its_colour
    made = treatment
    svg = D::Silhouette.new(made, %("><script>)).to_s
    refute_includes svg, "<script>"
    assert_equal 2, svg.scan("silhouette-cloth").size
    assert_includes D::Silhouette.new(nil, "#ffffff").to_s, "silhouette-open"
  end

  def test_glass_and_stacks_are_drawn_where_they_are
    wall = {"wall" => {"glass" => {"from_left" => 45, "width" => 90, "down" => 10, "height" => 100}}}
    made = treatment(treatment: wall)
    stacks = R::StackBack.of(made.treatment, made.curtains, R::HouseRules::USUAL).places
    zero = R::Length::ZERO
    measured = D::Elevation::Given.new(
      length: R::Length.cm(180),
      readings: {"left" => R::Length.cm(214)},
      stand_up: zero,
      offset: zero,
      overlap: zero,
      shares: [[0, 0.5], [0.5, 1]],
      return_left: zero,
      return_right: zero,
      colour: "#ffffff",
      kind: "track",
      features: made.treatment.wall.features,
      stacks: stacks
    )
    svg = D::Elevation.new(measured, says: "x").to_s
    glass = svg[/<rect x="([\d.]+)"[^>]*class="feature glass"/, 1].to_f
    left, right = svg[/<line x1="([\d.]+)"[^>]*x2="([\d.]+)"[^>]*class="support track"/] && [$1.to_f, $2.to_f]
    assert_in_delta 0.25, (glass - left) / (right - left), 0.005
    assert_equal 2, svg.scan('class="stack"').size
  end

  private

  # Every figure and word starts inside the sheet.
  def assert_inside(svg, what)
    width, height = svg[/viewBox="0 0 ([\d.]+) ([\d.]+)"/] && [$1.to_f, $2.to_f]
    svg.scan(/<text x="([\d.-]+)" y="([\d.-]+)"/).each do |x, y|
      assert x.to_f.between?(0, width) && y.to_f.between?(0, height),
        "#{what}: a word at #{x}, #{y} on #{width} by #{height}"
    end
    refute_match(/NaN|Infinity/, svg)
  end
end
