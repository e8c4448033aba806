# frozen_string_literal: true

require "web_test_helper"

# Safety from the first day: tokens, the policy, escaping, sizes, hosts, and pages for what goes wrong.
class SafetyTest < WebTest
  def test_every_page_carries_the_policy_and_no_inline_script_or_style
    [
      "/jobs",
      "/cloths",
      "/cloths/new",
      "/keys",
      "/jobs/#{office.id}",
      *%w[measure heading cloth cutting ticket].map { |name| station(office, name) }
    ].each do |path|
      get path
      assert_equal 200, last_response.status, path
      assert_match(/default-src 'none'.*script-src 'self'/, last_response.headers["Content-Security-Policy"])
      refute_match(/unsafe/, last_response.headers["Content-Security-Policy"])
      refute_match(/<script>|<style|\son\w+=|\sstyle=/, last_response.body, path)
    end
  end

  def test_pages_are_kept_by_nobody_and_stand_apart_from_other_sites
    %w[/jobs /nowhere /reckon].each do |path|
      get path
      headers = last_response.headers
      assert_equal "no-store", headers["Cache-Control"], path
      assert_equal %w[same-origin same-origin],
        headers.values_at("Cross-Origin-Opener-Policy", "Cross-Origin-Resource-Policy"), path
      assert_match(/camera=\(\)/, headers["Permissions-Policy"], path)
    end
  end

  def test_what_a_person_types_is_escaped_everywhere
    send_form("/jobs", "title" => "<script>alert(1)</script>", "unit" => "cm")
    follow_redirect!
    refute_includes last_response.body, "<script>alert"
    assert_includes last_response.body, "&lt;script&gt;alert"
  end

  def test_drawings_escape_their_text
    svg = EarnestFold::Drawings::Svg.new(10, 10, says: %("><script>)).text(0, 0, "<b> & 1/2").to_s
    refute_match(/<script>|<b>/, svg)
    assert_includes svg, "&lt;b&gt; &amp;"
  end

  def test_text_that_is_none_is_refused_plainly
    ["a\u0000b", "\xff\xfe"].each do |title|
      send_form("/jobs", "title" => title, "unit" => "cm")
      assert_equal 400, last_response.status
      assert_match(/could not be read/, text)
    end
    send_form("/jobs", "title[x][]" => "1", "unit" => "cm")
    assert_includes [303, 422], last_response.status
  end

  def test_a_post_without_its_token_is_refused
    post "/jobs", "title" => "Sneaked in", "unit" => "cm"
    assert_equal 403, last_response.status
    refute_includes workroom.jobs.list.map(&:title), "Sneaked in"
  end

  def test_another_host_is_refused
    header "Host", "evil.example"
    get "/jobs"
    assert_equal 403, last_response.status
  end

  def test_a_body_too_large_is_refused
    send_form("/jobs", "title" => "x" * 400_000, "unit" => "cm")
    assert_equal 413, last_response.status
    assert_match(/too much at once/, text)
  end

  ["/nowhere", "/jobs/999999999", "/jobs/abc", "/jobs/1e3", "/jobs/%ff", "/jobs/99999999999999999999", "/cloths/0",
    "/jobs/1/treatments/1/attic"].each do |path|
    define_method(:"test_#{path}_is_a_proper_404") do
      get path
      assert_equal 404, last_response.status
      assert_match(/There is nothing here/, text)
    end
  end

  def test_another_workrooms_job_is_a_404
    stranger = other_workroom.jobs.create(title: "Theirs", unit: "cm")
    get "/jobs/#{stranger}"
    assert_equal 404, last_response.status
  end

  def test_the_way_back_never_leads_outside
    ["https://evil.example/", "//evil.example", "/jobs/1\nx", "javascript:alert(1)"].each do |back|
      send_form("/jobs/#{office.id}/unit", "unit" => "in", "back" => back)
      assert_equal "/jobs/#{office.id}", URI(last_response.headers["Location"]).path
      assert_equal "127.0.0.1", URI(last_response.headers["Location"]).host
    end
  end

  def test_a_fault_inside_shows_a_page_and_writes_the_log
    log = StringIO.new
    failing = EarnestFold::Web::RequestLog.new(
      ->(env) { [500, {}, [env["sinatra.error"] = RuntimeError.new("the inside")]] },
      Logger.new(log)
    )
    failing.call("REQUEST_METHOD" => "GET", "PATH_INFO" => "/jobs")
    assert_match(/GET  500.*\/jobs/, log.string)
    assert_match(/the inside/, log.string)
  end

  def test_a_trace_never_reaches_a_person
    unless app.routes["GET"].any? { |route| route.first.to_s == "/broken-on-purpose" }
      app.get("/broken-on-purpose") { raise "secret detail" }
    end
    get "/broken-on-purpose"
    assert_equal 500, last_response.status
    refute_match(/secret detail|\.rb/, last_response.body)
    assert_match(/A stitch was dropped/, text)
  end
end
