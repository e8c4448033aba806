# frozen_string_literal: true

require "pdf-reader"
require "web_test_helper"

# What labels say, and what their codes open: signed, and for their own workroom alone.
class LabelsTest < WebTest
  C = EarnestFold::Web::ShortCode
  SECRET = EarnestFold::Web::App.sessions.fetch(:secret)

  def test_a_code_opens_its_page
    piece = workroom.shelf.all.first
    {["p", piece.id] => "/shelf/#{piece.id}", ["h", 3, 4] => "/jobs/3/treatments/4/hanging",
     ["b", 3, 4] => "/jobs/3/treatments/4/bench"}.each do |code, page|
      get "/c/#{C.of(SECRET, workroom.id, *code)}"
      assert_equal [303, "http://127.0.0.1#{page}"], [last_response.status, last_response["Location"]]
    end
  end

  def test_what_was_misread_or_made_up_or_is_anothers_opens_nothing
    good = C.of(SECRET, workroom.id, "p", 7)
    bad = [good.sub("p7", "p8"), good.sub(/.\z/, "!"), good[0..-2], "p7.", "x#{good[1..]}", good.sub("p7", "h7"),
      C.of(SECRET, workroom.id + 1, "p", 7), C.of("other", workroom.id, "p", 7), C.of(SECRET, workroom.id, "p", 7, 8),
      C.of(SECRET, workroom.id, "h", 7)]
    bad.each { |code| assert_equal 404, get("/c/#{CGI.escape(code)}").status, code }
    env SignedIn::KEY, nil
    assert_equal "http://127.0.0.1/me/sign-in", get("/c/#{good}")["Location"]
  end

  def test_a_code_is_short_enough_for_the_smallest_label
    assert_operator "https://house.example/c/#{C.of(SECRET, 9_999, "h", 999_999, 999_999)}".size, :<=, 53
  end

  def test_every_bundle_says_where_it_goes_how_many_and_what_of
    made = office
    cloth = made.treatments.first.spec["face"]
    get "/jobs/#{made.id}/cutting/#{cloth}/bundles.pdf"
    assert_equal 200, last_response.status
    said = PDF::Reader.new(StringIO.new(last_response.body)).pages.map(&:text).join.gsub(/\s+/, "")
    assert_match(/Quaywindow/, said)
    assert_match(/Ticketoffice/, said)
    assert_match(/4×2\d\d\.\dcm/, said)
    refute_match(/[Bb]atch/, said)
  end
end
