# frozen_string_literal: true

require "test_helper"
require "open3"
require_relative "../golden/comparison"

# The command line as a shell sees it: output, errors and exit status.
class CommandLineTest < EarnestFoldTest
  extend Walks.tests(1/2r)

  JOBS = Dir[File.expand_path("../golden/*.fold.json", __dir__)].sort.freeze

  def test_all_worked_jobs_in_one_process_one_line_each
    output, errors, status = run_with("reckon", *JOBS)
    assert_predicate status, :success?
    assert_empty errors
    assert_equal JOBS.size, output.lines.size
    JOBS.zip(output.lines).each do |file, line|
      assert_empty Comparison.new.differences(
        JSON.parse(File.read(file.sub(".fold.", ".expected."))),
        JSON.parse(line)
      ),
        file
    end
  end

  def test_a_refused_file_takes_its_place_among_several
    output, _, status = run_with("reckon", JOBS[0], "/nowhere.json", JOBS[4])
    assert_equal 2, status.exitstatus
    kinds = output.lines.map { |line| JSON.parse(line).keys.first }
    assert_equal %w[format errors format], kinds
  end

  def test_a_refused_document_says_every_problem_by_its_place
    document = JSON.parse(File.read(JOBS[0]))
    treatment = document["windows"][0]["treatments"][0]
    treatment["heading"]["fullness"] = 0
    treatment["drop"]["readings"] = []
    document["cloths"][0]["width"] = "wide"
    output, errors, status = run_with("reckon", "-", stdin: JSON.generate(document))
    assert_equal [2, ""], [status.exitstatus, output]
    found = JSON.parse(errors)["errors"].to_h { |error| error.values_at("at", "message") }
    assert_equal "must be more than 0", found["/windows/0/treatments/0/heading/fullness"]
    assert_equal %w[/cloths/0/width /windows/0/treatments/0/drop/readings /windows/0/treatments/0/heading/fullness],
      found.keys.sort
  end

  def test_what_is_no_json_or_not_there_has_the_same_form
    ["{", "", "[1]"].each do |text|
      _, errors, status = run_with("reckon", "-", stdin: text)
      assert_equal 2, status.exitstatus
      assert_equal "", JSON.parse(errors)["errors"][0]["at"]
    end
    _, errors, = run_with("plan", "/nowhere.json")
    assert_equal "", JSON.parse(errors)["errors"][0]["at"]
  end

  # A document with the figure at the last value that is told reckons as before; with the next one it doesn't.
  def test_what_is_near_is_so_when_it_is_reckoned
    [JOBS[0], JOBS[1], JOBS[3]].each do |file|
      document = alone(JSON.parse(File.read(file)))
      told = JSON.parse(run_with("near", "-", stdin: JSON.generate(document)).first)["treatments"].values.first
      edges = told["figures"].flat_map { |figure| figure.slice("below", "above").values.map { |edge| [figure, edge] } }
      edges.each do |figure, edge|
        last, beyond = edge.values_at("last", "beyond").map { |to| answer(moved(document, figure, to)) }
        assert_equal answer(document), last, figure["figure"]
        refute_equal answer(document), beyond, figure["figure"]
      end
      assert_operator edges.size, :>, 6
    end
  end

  def test_the_plan_names_every_cut
    output, = run_with("plan", JOBS[9])
    reed = JSON.parse(output)["cloths"]["reed"]
    assert_equal [true, 24148.163, []], reed.values_at("proved", "length_used", "uncut")
    assert_equal 8, reed["pieces"].sum { |piece| piece["cuts"].size }
    endless = JSON.parse(run_with("plan", JOBS[0]).first)["cloths"]["plain"]
    assert_equal ["to order"], endless["pieces"].map { |piece| piece["id"] }
    short = JSON.parse(run_with("plan", JOBS[11]).first)["cloths"]["plain"]
    assert_equal [{"treatment" => "t1", "count" => 4, "length" => 2328, "to_buy" => 9312}], short["uncut"]
  end

  def test_choices_stand_side_by_side
    output, = run_with("choices", JOBS[1])
    choices = JSON.parse(output)["treatments"]["bay-pair"]["choices"]
    widths =
      choices
        .select { |choice| choice["kind"] == "widths" }
        .to_h { |choice| [choice["name"], choice.values_at("length_to_order", "cost")] }
    assert_equal(
      {
        2 => [12_200, "414.80"],
        2.5 => [15_100, "513.40"],
        3 => [18_300, "622.20"],
        3.5 => [20_900, "710.60"],
        4 => [23_700, "805.80"]
      },
      widths
    )
    assert_includes choices.map { |choice| choice["kind"] }, "sideways"
    assert_operator choices.count { |choice| choice["kind"] == "heading" }, :>=, 8
  end

  def test_the_schema_is_the_published_one_and_current
    output, = run_with("schema")
    assert_equal File.read(root("schema/job.v1.json")), output
    assert_equal JSON.parse(output),
      JSON.parse(JSON.generate(EarnestFold::Documents::Schema.to_h)),
      "run: bundle exec ruby support/schema.rb"
  end

  def test_misuse_shows_what_there_is
    _, errors, status = run_with("reckn", "x")
    assert_equal 64, status.exitstatus
    assert_match(/earnest-fold reckon FILE/, errors)
  end

  def test_it_needs_none_of_the_tests_gems
    taken = gems_taken
    assert_includes taken, "i18n"
    assert_empty taken & %w[capybara selenium-webdriver axe-core-capybara nokogiri]
  end

  private

  # Its first treatment, with its cloths.
  def alone(document)
    document["windows"] = document["windows"].first(1)
    document["windows"][0]["treatments"] = document["windows"][0]["treatments"].first(1)
    document
  end

  def moved(document, figure, to)
    made = JSON.parse(JSON.generate(document))
    treatment = made["windows"][0]["treatments"][0]
    return ratio(treatment, to) && made if figure["figure"] == "heading.fullness"
    return readings(treatment, to - figure["at"], size(made)) && made if figure["figure"] == "drop.readings"

    *within, last = figure["figure"].split(".")
    cloth = made["cloths"].find { |one| one["id"] == treatment["face"] }
    place = (within == ["face"]) ? cloth : within.reduce(treatment) { |inside, step| inside[step] ||= {} }
    place[last] = "#{to} mm"
    made
  end

  def ratio(treatment, to) = treatment["heading"]["fullness"] = to

  def readings(treatment, by, size) =
    treatment["drop"]["readings"] = treatment["drop"]["readings"].map { |reading| "#{reading * size + by} mm" }

  # @return [Integer] millimetres
  def size(document) = {"cm" => 10, "mm" => 1}.fetch(document["unit"])

  # What a maker would call another answer, from the reckoning as it is printed.
  def answer(document)
    job = EarnestFold::Documents::JobFormat.read(JSON.generate(document))
    told = EarnestFold::Documents::ReckoningFormat.new(EarnestFold::Reckoning::JobReckoning.new(job)).to_h
    made = told["treatments"].values.first
    [
      made["curtains"].map { |one| [one["widths"], one["heading"].slice("pleats", "gliders")] },
      made.values_at("lining", "interlining").compact.map { |one| one["widths"] },
      repeats(made, document),
      told["cloths"].transform_values { |cloth| cloth["length_to_order"] }
    ]
  end

  def repeats(made, document)
    repeat = document["cloths"][0]["vertical_repeat"]
    repeat && made["cut_length"] / (repeat * size(document))
  end

  # As on a machine where nothing but `bin/start` was run: its gems come with Bundler's own settings alone.
  def gems_taken
    script = "at_exit { warn Gem.loaded_specs.keys.join(' ') }; ARGV.replace(%w[help]); load 'bin/earnest-fold'"
    Bundler.with_unbundled_env { Open3.capture3("ruby", "-e", script, chdir: root(".")) }[1].lines.last.split
  end

  def run_with(*arguments, stdin: "") = Open3.capture3(root("bin/earnest-fold"), *arguments, stdin_data: stdin)
end
