# frozen_string_literal: true

require "test_helper"
require "nokogiri"

# A job's windows on one wall: at one scale, what isn't measured dashed, one more to be had.
class RoomWallTest < EarnestFoldTest
  R = EarnestFold::Reckoning
  W = EarnestFold::Drawings::RoomWall

  def test_every_window_stands_at_the_same_scale
    drawn = draw([window("Bay", 2840, 2362, [[0, 500], [2340, 2840]]), window("Light", 960, 2362, [[0, 300]])])
    wide = supports(drawn).map { |line| line["x2"].to_f - line["x1"].to_f - 12 }
    assert_in_delta 2840 / 960.0, wide[0] / wide[1], 0.01
    assert_equal 3, drawn.css("path.cloth").size
    assert_equal %w[284.0 96.0], drawn.css("text.figure").map(&:text)
  end

  def test_nothing_leaves_the_sheet_however_many_there_are
    [1, 4, 5, 6, 23].each do |count|
      windows = Array.new(count) { |index| window("Window #{index}", 600 + index * 300, 900 + index * 90, [[0, 200]]) }
      drawn = draw(windows)
      wide, tall = drawn.at_css("svg")["viewBox"].split.last(2).map(&:to_f)
      drawn.css("line, rect").each do |one|
        assert_operator (one["x2"] || (one["x"].to_f + one["width"].to_f)).to_f, :<=, wide + 0.5
        assert_operator (one["y2"] || (one["y"].to_f + one["height"].to_f)).to_f, :<=, tall + 0.5
      end
      assert_equal count, drawn.css("text.caption").size
    end
  end

  def test_what_nobody_measured_is_dashed
    drawn = draw([W::Window.new(title: "Gable", href: "/g", length: nil, drop: nil, layers: [], features: {})])
    assert_equal 1, drawn.css(".cloth.likely").size
    assert_empty drawn.css("text.figure")
    assert_equal ["/g", "/more"], drawn.css("a").map { |link| link["href"] }
  end

  def test_somebodys_own_hangs_over_a_rail
    own = [W::Own.new(title: "Vestry <pair>", href: "/v", length: R::Length.mm(1640), colour: "#eee")]
    drawn = parsed(W.new([], own, R::Units::CM).to_s)
    assert_equal "Vestry <pair>", drawn.at_css("text.caption").text
    assert_equal 2, drawn.css("rect.cloth").size
  end

  private

  def draw(windows) = parsed(W.new(windows, [], R::Units::CM, more: ["a window", "/more"]).to_s)

  def parsed(svg) = Nokogiri::HTML5.fragment(svg)

  def supports(drawn) = drawn.css("line.support")

  def window(title, length, drop, places)
    hung = W::Hung.new(places: places.map { |ends| ends.map { |at| R::Length.mm(at) } }, colour: "#ccc", kind: "track")
    W::Window.new(
      title: title,
      href: "/w",
      length: R::Length.mm(length),
      drop: R::Length.mm(drop),
      layers: [hung],
      features: {}
    )
  end
end
