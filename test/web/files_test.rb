# frozen_string_literal: true

require "web_test_helper"
require "zlib"

# Files go out without a cookie, are kept by their fingerprint, and everything that is worth it is compressed.
class FilesTest < WebTest
  def test_a_file_has_no_cookie_and_is_kept_for_good_by_its_fingerprint
    get "/jobs"
    last_response.body.scan(/(?:href|src)="(\/[\w.\/-]+\?\h{12})"/).flatten.each do |address|
      get address

      assert_equal 200, last_response.status, address
      assert_nil last_response.headers["Set-Cookie"], address
      assert_match(/immutable/, last_response.headers["Cache-Control"], address)
      assert_equal "nosniff", last_response.headers["X-Content-Type-Options"]
    end
    get "/app.css"
    assert_match(/max-age=3600/, last_response.headers["Cache-Control"])
  end

  def test_every_file_that_a_page_or_the_styles_name_is_there
    get "/app.css"
    last_response.body.scan(%r{/fonts/[\w.?-]+}).each do |font|
      get font
      assert_equal [200, nil], [last_response.status, last_response.headers["Set-Cookie"]], font
    end
  end

  def test_nothing_outside_is_served
    ["/../Gemfile", "/fonts/../../Gemfile", "/fonts/..%2f..%2fGemfile", "/vendor/", "/fonts/%00"].each do |address|
      get address
      assert_includes [400, 403, 404], last_response.status, address
    end
  end

  def test_what_goes_over_the_wire_is_small
    first = compressed(station(office, "measure"))
    page = Zlib.gunzip(last_response.body)
    files = page.scan(/(?:href|src)="(\/[\w.\/-]+\?\h{12})"/).flatten
    get files.first
    # Another script's letters come where a page has them.
    faces = File.read(root("public/app.css")).scan(/@font-face\{[^}]*\}/).grep_v(/unicode-range/)
    fonts = faces.flat_map { |face| face.scan(%r{/fonts/[\w.?-]+}) }

    assert_operator first + (files + fonts).sum { |address| compressed(address) }, :<=, 160 * 1024
    header("Accept-Encoding", "gzip")
    save(office, "measure", "overlap" => "10", :headers => {"HX-Request" => "true"})

    assert_operator last_response.body.bytesize, :<=, 25 * 1024
  ensure
    header("Accept-Encoding", nil)
  end

  # Another one each time.
  TOKEN = /X-CSRF-Token":"[^"]+/

  # Whoever takes no compressed page gets it plain, and it is the same; paper and nothing are let be.
  def test_a_page_is_the_same_however_it_is_sent
    plain = get("/keys").body.gsub(TOKEN, "")
    assert_nil last_response["Content-Encoding"]
    header("Accept-Encoding", "gzip, br")
    sent = get("/keys")
    assert_equal ["gzip", true], [sent["Content-Encoding"], sent["Vary"].split(",").include?("Accept-Encoding")]
    assert_equal plain, Zlib.gunzip(sent.body).force_encoding(Encoding::UTF_8).gsub(TOKEN, "")
    assert_nil get("/shelf-labels.pdf")["Content-Encoding"]
    assert_equal [404, "gzip"], get("/nowhere").then { |answer| [answer.status, answer["Content-Encoding"]] }
    header("Accept-Encoding", "gzip;q=0")
    assert_nil get("/shelf")["Content-Encoding"]
  ensure
    header("Accept-Encoding", nil)
  end

  private

  def compressed(address)
    header("Accept-Encoding", "gzip")
    get address
    assert_equal 200, last_response.status, address
    last_response.body.bytesize
  end
end
