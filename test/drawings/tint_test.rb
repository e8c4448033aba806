# frozen_string_literal: true

require "test_helper"

# A cloth's colour as a drawing shows it: whatever it is, ink can be read on it, and one cloth be told from another.
class TintTest < EarnestFoldTest
  Tint = EarnestFold::Drawings::Tint
  # What words and lines are drawn in, and the most that lies between them and the cloth: what is cut is darkened.
  INK, DONE = [0x2b, 0x3a, 0x42], 0x26 / 255.0

  def test_ink_can_be_read_on_every_cloth
    colours = ["#000000", "#ff0000", "#00ff00", "#0000ff"] + Array.new(3000) { format("#%06x", rand(1 << 24)) }
    colours.each do |colour|
      drawn = channels(Tint.of(colour))
      done = drawn.zip(INK).map { |cloth, ink| (cloth + (ink - cloth) * DONE).round }
      assert_operator contrast(drawn, INK), :>=, 4.5, colour
      assert_operator contrast(done, INK), :>=, 4.5, colour
    end
  end

  def test_what_is_light_enough_stays_as_it_is
    ["#c8b79a", "#ffffff", "#efe8d8", "#c9d2bd", "none"].each { |colour| assert_equal colour, Tint.of(colour) }
  end

  # Navy stays blue, burgundy red, bottle green green; a black cloth is grey.
  def test_the_hue_stays
    {"#141a33" => 2, "#5a0f14" => 0, "#0f3d2e" => 1}.each do |colour, strongest|
      drawn = channels(Tint.of(colour))
      assert_equal strongest, drawn.index(drawn.max), colour
      assert_operator drawn.max - drawn.min, :>=, 30, colour
    end
    assert_equal 1, channels(Tint.of("#000000")).uniq.size
    assert_operator channels(Tint.of("#0b0d12")).minmax.reduce(:-).abs, :<=, 20, "black with a breath of blue"
  end

  # Nobody draws a cloth in its colour as it is.
  def test_every_drawing_shows_it_so
    drawings = Dir[root("lib/earnest_fold/drawings/*.rb")].to_h { |file| [File.basename(file), File.read(file)] }
    raw = drawings.select { |_, text| text.match?(/fill(:| =>|=")\W*\w*\.?colour\b/) }
    assert_empty raw.keys
    assert_operator drawings.values.grep(/Tint\.of\(/).size, :>, 15
  end

  private

  def channels(colour) = colour.delete("#").scan(/../).map { |part| part.to_i(16) }

  def contrast(one, other)
    darker, lighter = [one, other].map { |all| Tint.light(all) }.minmax
    (lighter + 0.05) / (darker + 0.05)
  end
end
