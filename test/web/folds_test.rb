# frozen_string_literal: true

require "web_test_helper"
require "nokogiri"

# Figures that not every window has are folded until one of them matters, and say what they are taken as until then.
class FoldedFieldsTest < WebTest
  R = EarnestFold::Reckoning

  def setup
    super
    @set = workroom.house.read.starting_set
    id = workroom.jobs.create(title: "Linen room", unit: "cm")
    spec = @set.applied(S::StartingRules::UNMEASURED, R::Units::CM).merge(
      "support" => {"kind" => "track", "length" => "132 cm"},
      "drop" => {"readings" => ["121 cm"], "taken_at" => ["left"]},
      "face" => workroom.cloths.all.find { |cloth| cloth.spec["name"] == "Ferry cotton twill" }.id.to_s
    )
    workroom.windows(id).add(room: "", name: "Window", spec: spec)
  end

  def test_a_plain_unlined_curtain_shows_what_every_curtain_has
    at "cloth"
    assert_equal %w[making.hem.kind making.hem.depth making.side.kind making.side.depth], shown_in("section.allowances")
    assert_equal({"fold-making" => false}, folds)
    assert_match(/Besides Weights corners, seams · Seam 1 · .*Cut from whole widths/, text)
    at "heading"
    assert_equal({"fold-rarer" => false, "fold-tiebacks" => false}, folds)
    assert_match(/Tiebacks none/, text)
    at "measure"
    assert_equal false, folds["fold-beyond"]
    assert_equal "0", page.at_css("[name='return_left']")["placeholder"]
  end

  def test_it_opens_by_itself_when_something_matters
    change("making.squaring" => "5 cm")
    at "cloth"
    assert folds["fold-making"], "squaring departs from the rule"
    change("making.squaring" => "0 cm", "support.projection" => "12 cm")
    at "cloth"
    refute folds["fold-making"]
    at "measure"
    assert folds["fold-beyond"]
  end

  def test_what_a_single_hem_turns_under_is_asked
    change("making.hem.kind" => "single")
    at "cloth"
    assert_includes shown_in("section.allowances"), "making.hem.turn_under"
  end

  def test_no_figure_of_any_heading_is_lost
    R::Headings.each do |kind|
      EarnestFold::Work::Starting.new(workroom.house.read, R::Units::CM)
        .changed(treatment.spec, "heading.kind", kind.kind)
        .then { |spec| workroom.treatments.update(treatment.id, spec, version: treatment.version) }
      at "heading"
      paths = EarnestFold::Work::SpecFields.heading_paths(treatment.spec)
      assert_empty paths - page.css("[name]").map { |one| one["name"] }, kind.kind
      given = shown_in("section.allowances").size
      assert_operator given, :<=, 9, "#{kind.kind} asks #{given} figures at once"
    end
  end

  # One choice is one departure, however many figures it brings.
  def test_a_method_departs_once
    set = workroom.house.read.sets.find { |one| one.lining(R::Units::CM) }
    lining = workroom.cloths.all.find { |cloth| cloth.spec["use"] == "lining" }.id.to_s
    starting = EarnestFold::Work::Starting.new(workroom.house.read, R::Units::CM)
    methods = R::Methods::Kinds.to_a.map(&:name) - [set.for(R::Units::CM)["method"], "interlined"]
    methods.grep_v(/unlined/).each do |method|
      choices = {"rules" => set.id.to_s, "lining.cloth" => lining, "method" => method}
      spec = choices.reduce(treatment.spec) { |made, (path, value)| starting.changed(made, path, value) }
      workroom.treatments.update(treatment.id, spec, version: treatment.version)
      at "cloth"
      assert_equal 1, text.scan("departs; rule").size, method
      assert_match(/1 departure here/, text, method)
    end
  end

  private

  def linen_room = job("Linen room")

  def treatment = linen_room.treatments.first

  def at(station) = get(station(linen_room, station))

  def change(fields)
    spec = fields.reduce(treatment.spec) { |made, (path, value)| EarnestFold::Work::SpecFields.set(made, path, value) }
    workroom.treatments.update(treatment.id, spec, version: treatment.version)
  end

  def page = Nokogiri::HTML5(last_response.body)

  # @return [Hash{String => Boolean}] each fold, and whether it is open
  def folds = page.css("details.fold").to_h { |one| [one["id"], one.key?("open")] }

  # @return [Array<String>] the fields that stand there unfolded
  def shown_in(place) =
    page.css("#{place} [name]").reject { |one| one.ancestors("details").any? || one.name == "button" }
      .map { |one| one["name"] }.grep_v(/\Asaw|\Atape\z/)
end
