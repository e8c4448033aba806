# frozen_string_literal: true

require "documents_helper"

EarnestFold::LOADER.eager_load

# The drawing of an alteration is to scale: each line lies where its distance says, before and after to one scale.
class AlteredCurtainTest < EarnestFoldTest
  include DocumentsHelper

  D = EarnestFold::Drawings

  R::Alterations.each do |kind|
    define_method(:"test_#{kind.kind}_is_drawn_to_scale") do
      made = read(
        document("alterations" => [kind.example.merge("id" => "a", "width" => "160 cm", "motif" => "60 cm")])
      ).alterations.first
      svg = D::AlteredCurtain.new(made, R::Units::CM).to_s
      before, after =
        svg
          .scan(/<rect x="([\d.]+)" y="([\d.]+)" width="[\d.]+" height="([\d.]+)" class="outline"/)
          .map { |numbers| numbers.map(&:to_f) }
          .values_at(0, -1)
      extent = made.alteration.extent(made.curtain)
      each = before[2] / extent.mm.to_f
      assert_in_delta made.alteration.length_at_last.mm.to_f * each, after[2], 0.2
      assert_lines(svg, made, before, each)
      assert_includes svg, EarnestFold::Words.length(extent, R::Units::CM)
    end
  end

  def test_the_motif_moves_with_the_cloth
    made = read(
      document("alterations" => [R::ShortenAtTop::EXAMPLE.merge("id" => "a", "motif" => "150 cm")])
    ).alterations.first
    svg = D::AlteredCurtain.new(made, R::Units::CM).to_s
    each = svg[/height="([\d.]+)" class="outline"/, 1].to_f / 2440
    before, after = svg.scan(/<path d="M [\d.]+ ([\d.]+) l 9 11 [^"]*" class="motif"/).flatten.map(&:to_f)
    assert_in_delta 410 * each, before - after, 0.3
  end

  private

  def assert_lines(svg, made, before, each)
    drawn =
      svg
        .scan(/<line x1="[\d.]+" y1="([\d.]+)"[^>]*class="alter-line on-(\w+)"/)
        .map { |y, deed| [deed, y.to_f - before[1]] }
    wanted = made
      .lines
      .map do |line|
        [
          line.deed.to_s,
          (((line.from == :hem) ? made.alteration.extent(made.curtain) - line.at : line.at).mm * each.to_r).to_f
        ]
      end
      .sort_by(&:last)
    assert_equal wanted.map(&:first), drawn.map(&:first)
    wanted.zip(drawn).each { |(_, place), (_, there)| assert_in_delta place, there, 0.3 }
  end
end
