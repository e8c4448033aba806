# frozen_string_literal: true

require "test_helper"
require "pdf/reader"

# Whatever script a customer's name is in, every paper prints it; a letter that no font has is named.
class LettersTest < EarnestFoldTest
  D = EarnestFold::Documents
  NAMES = [
    "Łucja Żółć", "Ağaoğlu Şükrü", "Nguyễn Thị Hồng", "Þórður Ægisson",
    "Ștefan Țepeș", "Őri Ű", "Ərəb",
    "Ελένη Παπαδοπούλου", "Ἀθῆναι",
    "Ольга Щербакова", "Љубица Ђокић", "Ґалина Їжак"
  ].freeze

  def test_every_letter_of_latin_greek_and_cyrillic_is_printed
    paper = D::Paper.new(NAMES.first, about: NAMES.last)
    paper.table("Ελένη Щ", %w[Name], NAMES.zip)
    paper.list("", nil, NAMES.map { |name| [name, name] }, [200])
    NAMES.each { |name| paper.note(name) }
    printed = read(paper.render)
    NAMES.each { |name| assert_includes printed, close(name) }
    refute_includes printed, "□"
    refute_includes printed, close("no font")
  end

  def test_in_a_drawing_too
    words = "Ольга Ελένη Ł"
    svg = EarnestFold::Drawings::Svg.new(400, 40, says: "x").text(10, 20, words, class: "label").to_s
    assert_includes read(D::Paper.new("t").drawing("", svg).render), close(words)
  end

  def test_on_a_heading_full_size
    mark = [EarnestFold::Reckoning::Length.mm(20), "Щ"]
    strip = D::StripPdf::Strip.new(
      name: "Ελένη",
      length: EarnestFold::Reckoning::Length.mm(200),
      marks: [mark],
      leads: :left
    )
    printed = read(D::StripPdf.new("Łucja 漢", [strip], EarnestFold::Reckoning::Units::CM).render)
    ["Ελένη", "Щ", "Łucja □", "U+6F22"].each { |words| assert_includes printed, close(words) }
  end

  def test_a_letter_that_no_font_has_is_named
    printed = read(D::Paper.new("漢字 and 字").note("plain").render)
    assert_includes printed, close("□□ and □")
    assert_includes printed, close("□ stands for a letter that no font here has: U+6F22, U+5B57.")
  end

  def test_signs_put_together_are_one_letter
    printed = read(D::Paper.new("Z\u0323\u030c e\u0301 \u200dtogether\ufe0f").render)
    assert_includes printed, close("é together")
  end

  private

  # Letters that stand close are read without the gap between them.
  def read(pdf) = close(PDF::Reader.new(StringIO.new(pdf)).pages.map(&:text).join("\n"))

  def close(words) = words.gsub(/\s/, "")
end
