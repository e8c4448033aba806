# frozen_string_literal: true

require "nokogiri"
require "web_test_helper"
require "json"
require "timeout"

# One small figure takes nothing down: what is finer or more than anything made is refused at its field, and what was
# kept before is told as such, at once.
class BoundsTest < WebTest
  R = EarnestFold::Reckoning
  FINE = ["0.1 mm", "0.003 mm", "1/1000 in", "4.9 mm"].freeze
  # No answer takes longer, whatever was asked.
  LONGEST = 2

  # Each figure of a heading at which something comes again.
  def self.again
    R::Headings.flat_map do |kind|
      kind.fields.select { |field| field.kind.respond_to?(:finest) && field.kind.finest }.map { |one| [kind, one] }
    end
  end

  def test_every_heading_has_a_figure_that_is_bounded
    bare = R::Headings.to_a - self.class.again.map(&:first)
    assert_equal %w[buckram_panel hand_pleat rod_pocket], bare.map(&:kind).sort
  end

  # A browser cuts off what is pasted beyond that, and tells nobody.
  def test_a_field_lets_in_as_many_letters_as_are_taken
    cloth, set = workroom.cloths.all.first.id, workroom.house.read.sets.first.id
    tape = workroom.tapes.find_or_create("name" => "Wave tape", "kind" => "wave")
    {
      "/cloths/#{cloth}" => {"name" => 200, "width" => 60}, "/tapes/#{tape}" => {"name" => 60, "pitches" => 400},
      "/house-rules" => {"name" => 80}, "/house-rules/sets/#{set}" => {"name" => 60},
      station(office, "measure") => {"name" => 200, "notes" => 2000, "overlap" => 60}
    }.each do |page, fields|
      get page
      shown = Nokogiri::HTML5(last_response.body)
      there = fields.to_h { |name, _| [name, shown.at_css("[name='#{name}']")["maxlength"].to_i] }
      assert_equal fields, there, page
    end
  end

  again.each do |kind, field|
    define_method(:"test_#{kind.kind}_#{field.name}_too_fine_is_refused_at_its_field") do
      choose(kind.kind)
      FINE.each do |text|
        before = spec
        quickly { save(office, "heading", "heading.#{field.name}" => text) }
        assert_equal 422, last_response.status, text
        assert_match(/must be at least 0.5/i, self.text)
        assert_equal before, spec
      end
    end

    define_method(:"test_#{kind.kind}_#{field.name}_kept_before_is_told") do
      choose(kind.kind)
      keep(EarnestFold::Work::SpecFields.set(spec, "heading.#{field.name}", "0.1 mm"))
      %w[measure heading cloth cutting making hanging].each do |name|
        quickly { get station(office, name) }
        assert_equal 200, last_response.status, name
      end
      %W[/jobs/#{office.id} /jobs/#{office.id}/account /logbook /today].each do |path|
        quickly { get path }
        assert_equal 200, last_response.status, path
      end
    end
  end

  def test_more_than_a_drawing_can_carry_is_told_at_the_pitch
    choose("eyelet")
    keep(EarnestFold::Work::SpecFields.set(spec, "support.length", "5000 cm"))
    quickly { save(office, "heading", "heading.pitch" => "5 mm") }
    assert_match(/more than 2000 of them|too_many_marks/, text)
  end

  def test_a_repeat_too_fine_is_refused_and_none_is_none
    cloth = workroom.cloths.all.find { |one| one.spec["name"] == "Ferry cotton twill" }
    FINE.each do |repeat|
      quickly do
        send_form("/cloths/#{cloth.id}", "version" => cloth.version.to_s, "vertical_repeat" => repeat,
          "match" => "half_drop")
      end
      assert_equal 422, last_response.status
      assert_match(/must be at least 0.5/i, text)
    end
    send_form("/cloths/#{cloth.id}", "version" => cloth.version.to_s, "vertical_repeat" => "0")
    assert_equal 303, last_response.status
  end

  def test_documents_of_any_size_are_answered_at_once
    cloth = {"id" => "c", "name" => "C", "use" => "face", "width" => 140}
    faulty = ->(count) { Array.new(count) { |index| {"id" => "c#{index}", "name" => "", "use" => "wall"} } }
    [500, 2000, 4000, 20_000].each { |count| refused("cloths" => faulty.call(count), "windows" => []) }
    refused("cloths" => [cloth], "windows" => Array.new(800) { |index| {"id" => "w#{index}", "treatments" => []} })
    pieces = Array.new(4000) { |index| {"id" => "p#{index}", "length" => 1000} }
    refused("cloths" => [cloth.merge("pieces" => pieces)], "windows" => [])
    refused("cloths" => Array.new(190) { |index| cloth.merge("id" => "c", "width" => "x#{index}") }, "windows" => [])
  end

  private

  def quickly(&block) = Timeout.timeout(LONGEST * 5) { took(&block) }

  # Machines are shared: it is the order of magnitude that is held.
  def took
    started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    yield
    assert_operator Process.clock_gettime(Process::CLOCK_MONOTONIC) - started, :<, LONGEST * 2
  end

  def spec = office.treatments.first.spec

  def keep(spec)
    kept = office.treatments.first
    workroom.treatments.update(kept.id, spec, version: kept.version)
  end

  def choose(kind) =
    keep(EarnestFold::Work::Starting.new(workroom.house.read, R::Units::CM).changed(spec, "heading.kind", kind))

  def refused(document)
    get "/jobs"
    token = last_response.body[/name="authenticity_token" value="([^"]+)"/, 1]
    text = JSON.generate({"format" => "earnest-fold/job", "version" => 1, "unit" => "mm", "title" => "T", **document})
    file = Rack::Test::UploadedFile.new(StringIO.new(text), "application/json", original_filename: "job.fold.json")
    quickly { post "/jobs/import", "file" => file, "authenticity_token" => token }
    assert_equal 422, last_response.status
  end
end
