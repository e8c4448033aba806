# frozen_string_literal: true

require "web_test_helper"
require "json"

# Whatever comes in malformed gets one plain answer, 400, 404, 413 or 422, and never a fault of ours.
class MalformedTest < WebTest
  PLAIN = [200, 303, 400, 401, 403, 404, 409, 413, 422].freeze
  # In place of any text that a form sends.
  ODD = [["a", "b"], {"x" => {"y" => ["z"]}}, "a\u0000b", "\xED\xA0\x80", "9" * 5000, "1e400000000", "\u{1F600}" * 70]
    .freeze

  ASKED = %w[page week q words cut step curtain for version unit zoom].freeze

  def test_every_address_that_takes_something
    posts = EarnestFold::Web::App::HANDLERS.flat_map { |handler| handler.routes.select { |route| route.verb == :post } }
    token = token_of("/jobs")
    Walks.some(posts.product(ODD), 200).each do |route, odd|
      path = filled(route.path.to_s)
      fields = names_for(route).to_h { |name| [name, odd] }
      post(path, fields.merge("authenticity_token" => token))
      plain "#{path} #{odd.inspect[0, 30]}"
    end
  end

  def test_every_address_that_is_asked
    gets = EarnestFold::Web::App::HANDLERS.flat_map { |handler| handler.routes.select { |route| route.verb == :get } }
    pages = gets.reject { |route| route.path.to_s.match?(/\.(pdf|svg|jpg|csv|json)\z/) }
    Walks.some(pages.product(ODD), 120).each do |route, odd|
      get(filled(route.path.to_s), ASKED.to_h { |one| [one, odd] })
      plain "#{route.path} #{odd.inspect[0, 30]}"
    end
  end

  def test_documents_that_are_none
    head = '{"format": "earnest-fold/job", "version": 1, "unit": "mm", "title": "T", "cloths": [], "windows": [], '
    [
      %(#{head}"note": "\\u0000"}), %(#{head}"note": "\\ud800"}), %(#{head}"n": 1e400000000}),
      %(#{head}"n": #{"9" * 9000}}),
      "#{"[" * 5000}#{"]" * 5000}", %(#{head}"n": #{"{\"a\":" * 500}1#{"}" * 500}}), "\xFF\xFE", "", "null", "[]", "7",
      %({"format": 7}), %(#{head}"tapes": {"a": 1}}), %(#{head}"alterations": [[]]}), %(#{head}"small_parts": [7]}),
      %({"format": "earnest-fold/job", "version": 1, "unit": "mm", "title": ["T"], "cloths": 7, "windows": "x"}),
      %(#{head}"cloths": [{"id": ["c"], "name": {}, "use": 7, "width": {"a": 1}, "pieces": [[]]}]})
    ].each do |text|
      file = Rack::Test::UploadedFile.new(StringIO.new(text), "application/json", original_filename: "job.fold.json")
      post "/jobs/import", "file" => file, "authenticity_token" => token_of("/jobs")
      plain text[0, 120]
    end
  end

  def test_requests_that_are_none
    token = CGI.escape(token_of("/jobs"))
    form = "application/x-www-form-urlencoded"
    {
      Array.new(5000) { |index| "f#{index}=1" }.join("&") => form,
      "authenticity_token=#{token}&title=%ff%fe" => form,
      "authenticity_token=#{token}&title=%" => form,
      "a#{"[x]" * 200}=1&authenticity_token=#{token}" => form,
      "a=1&a[b]=2&authenticity_token=#{token}" => form,
      "--x\r\nbroken" => "multipart/form-data; boundary=x",
      "--#{"b" * 5000}\r\n" => "multipart/form-data; boundary=#{"b" * 5000}",
      "" => "multipart/form-data; boundary=x",
      "x" => "multipart/form-data"
    }.each do |body, type|
      post "/jobs", {}, :input => body, "CONTENT_TYPE" => type
      plain "#{type[0, 50]} #{body[0, 40]}"
      assert_operator last_response.status, :>=, 400
    end
  end

  private

  def plain(about)
    assert_includes PLAIN, last_response.status, about
  end

  # The names that forms of the house send, whatever route they are sent to.
  def names_for(route)
    %w[title unit name room rules kind notes said on label cloth delivered version treatment how from to what cut why
      piece wish how_many words file step curtain value code answer back customer number archived person month like
      lining.cloth heading.kind support.length drop.readings.left saw width use price colour order_step day key time
      count length depth sort down across amount paid extra_name payment_on payment_name payment_amount currency]
      .reject { |name| route.path.to_s.include?("import") && name == "file" }
  end

  def filled(path)
    job = office
    path.gsub(":id", job.id.to_s).gsub(":treatment", job.treatments.first.id.to_s)
      .gsub(":cloth", job.treatments.first.spec["face"]).gsub(":piece", workroom.shelf.all.first.id.to_s)
      .gsub(/:\w+/, "1")
  end

  def token_of(path)
    get path
    last_response.body[/name="authenticity_token" value="([^"]+)"/, 1]
  end
end
