# frozen_string_literal: true

require "web_test_helper"
require "laws/random_jobs"
require "nokogiri"

# Reckon: a whole answer from what stands in the address, the same as the core's; kept as a job with nothing lost.
class ReckonTest < WebTest
  R = EarnestFold::Reckoning
  LEAST = {"support.length" => "248", "drop.readings.left" => "229", "cloth.width" => "138"}.freeze
  STUDY = LEAST.merge(
    "return_left" => "7", "return_right" => "7", "overlap" => "8", "heading.fullness" => "2", "cloth.selvedge" => "1",
    "cloth.vertical_repeat" => "64", "cloth.price" => "31.50", "making.hem.depth" => "8",
    "making.side.kind" => "single", "making.side.depth" => "4", "making.side.turn_under" => "1", "making.seam" => "1.5"
  ).freeze
  # A cloth's figures, typed where there is no cloth of the workroom's.
  CLOTH = %w[width selvedge vertical_repeat horizontal_repeat match one_way shrink_percent price].freeze
  # Another cloth has another name at Reckon.
  TAKEN = %w[lining.cloth interlining.cloth face].freeze
  TRIED = Walks.some(Integer(ENV.fetch("RECKONED", "10")).times, 4)

  def test_three_figures_are_enough
    reckon({})
    assert_match(/Three figures are enough.*the length of the support; a drop reading; the cloth's width/, text)
    assert_equal LEAST.keys.sort, fields.filter_map { |field| field["name"] if field["class"] == "wanted" }.sort
    LEAST.each_key { |left_out| reckon(LEAST.except(left_out)).then { assert_match(/Three figures are enough/, text) } }
    reckon(LEAST)
    assert_equal 200, last_response.status
    refute_match(/Still wanted/, text)
    assert_match(/cloth to order [\d.]+ m widths 4/, text)
  end

  def test_the_answer_is_the_whole_one
    jobs = workroom.jobs.list.size
    reckon(STUDY)
    assert_match(/cloth to order 16 m widths 6 cut, each 249\.0 in whole repeats 256\.0 cloth 504\.00/, text)
    get page.at_css("#near")["hx-get"]
    assert_match(/0\.09 less at 1\.91: 4 widths instead of 6 5\.1 m, 160\.65 less/, text)
    reckon(STUDY)
    assert_operator last_response.body.scan("<svg").size, :>, 9
    assert_equal jobs, workroom.jobs.list.size
  end

  # Every heading, opening, lining and figure that is asked, at random: the page reckons what the command line does.
  def test_what_stands_in_the_address_is_what_the_core_reckons
    answered =
      TRIED.count do |seed|
        random = RandomJobs.new(seed)
        typed = typed_of(random.treatment("t"), random.cloth("face", "face"))
        agrees(typed, "seed #{seed}")
      end
    assert_operator answered, :>, Walks::WHOLE ? TRIED.size / 2 : 0
  end

  def test_every_heading_begins_with_what_it_needs
    R::Headings.names.product(R::Opening::KINDS).each do |heading, opening|
      known = {"heading.kind" => heading, "opening.kind" => opening, "opening.cover" => "60", "opening.panels" => "3"}
      typed = LEAST.merge(known)
      reckon(typed)
      assert_equal 200, last_response.status
      assert(answer || text[/Still wanted: [^.]+/], "#{heading}, #{opening}: no answer")
    end
  end

  def test_every_alteration_is_reckoned
    R::Alterations.names.each do |kind|
      reckon("kind" => kind)
      assert_equal 200, last_response.status, kind
      assert_match(/Still wanted/, text, kind)
      refute_match(/Three figures are enough/, text, kind)
    end
    R::Alterations.each do |kind|
      reckon(flat(kind.example).transform_values { |value| shown(value) })
      refute_match(/Still wanted/, text, kind.kind)
      assert page.at_css(".to-order b"), kind.kind
    end
  end

  def test_another_heading_brings_its_own_figures
    reckon(STUDY.merge("was_heading.kind" => "pencil_pleat", "heading.kind" => "wave", "heading.top_turn" => "4"))
    assert_equal 200, last_response.status
    assert_match(/gliders every/, text)
    refute_match(/times full,/, text)
    assert_equal "229", on_the_page["drop.readings.left"]
  end

  # The drawings of the headings are a fifth of the page: what stands there stays there.
  def test_the_same_headings_are_not_sent_again
    was = {"was_kind" => "", "was_heading.kind" => "pencil_pleat", "heading.kind" => "pencil_pleat"}
    reckon(STUDY.merge(was))
    assert_equal R::Headings.names.sort, chosen.map { |card| card["value"] }.sort
    header "HX-Request", "true"
    reckon(STUDY.merge(was))
    assert_empty chosen
    assert page.at_css("#heading-cards").key?("data-same")
    [{"heading.kind" => "wave"}, {"was_kind" => "shorten_at_hem"}, {"was_heading.kind" => ""}].each do |other|
      reckon(STUDY.merge(was, other))
      assert_equal 1, chosen.count { |card| card.key?("checked") }, other
    end
  end

  def test_the_other_unit_says_the_same
    reckon(STUDY)
    there = Nokogiri::HTML5(last_response.body).at_css("#other-unit")["href"]
    get there
    assert_equal ["97 5/8", "54 5/16", "28.80"], on_the_page.values_at("support.length", "cloth.width", "cloth.price")
    assert_match(%r{In inches.*cloth to order 17 1/2 yd widths 6}, text)
  end

  def test_what_cannot_be_read_is_said_where_it_stands
    reckon(STUDY.merge("support.length" => "twelve"))
    assert_equal 200, last_response.status
    assert_equal "twelve", on_the_page["support.length"]
    assert_equal "true", fields.find { |field| field["name"] == "support.length" }["aria-invalid"]
  end

  def test_hostile_figures_break_nothing
    names = STUDY.keys + %w[heading.kind kind face lining.cloth unit was_unit rules method run]
    odd = ["<script>alert(1)</script>", "9" * 300, "-5", "1e99", "\u0000", "%", "0", "0.0001"]
    names.product(odd).each_with_index do |(name, value), index|
      next unless (index % 3).zero? || value == "0.0001"

      reckon(STUDY.merge(name => value))
      assert_includes [200, 400], last_response.status, "#{name}=#{value}"
      refute_includes last_response.body, "<script>alert"
    end
    ["%", "a=%zz", "a=%ff&unit=%00", "heading.kind=x&heading.kind=y", "&" * 40_000].each do |figures|
      send_form("/reckon/keep", "figures" => figures)
      assert_includes [303, 400, 413], last_response.status, figures[0, 20]
    end
    get "/reckon?support.length[]=3&heading[kind]=x&drop.readings.left[a]=1"
    assert_includes [200, 400], last_response.status
  end

  def test_kept_as_a_job_nothing_is_lost
    jobs = workroom.jobs.list.size
    keep(STUDY, "Boathouse stairs")
    assert_equal 303, last_response.status
    assert_match(%r{/jobs/\d+/treatments/\d+/measure\z}, last_response["Location"])
    assert_equal jobs + 1, workroom.jobs.list.size
    get last_response["Location"]
    assert_match(/Boathouse stairs/, text)
    kept = job("Boathouse stairs")
    spec = kept.treatments.first.spec
    assert_equal ["248 cm", ["229 cm"]], [spec["support"]["length"], spec["drop"]["readings"]]
    assert_equal "7 cm", spec["return_left"]
    get station(kept, "cloth")
    assert_match(/16 m/, text)
    assert_match(/Cloth as reckoned/, text)
  end

  def test_kept_with_nothing_but_a_heading
    keep({"heading.kind" => "eyelet"})
    assert_equal 303, last_response.status
    %w[measure heading cloth cutting making hanging].each do |name|
      get last_response["Location"].then { station(newest, name) }
      assert_equal 200, last_response.status, name
    end
  end

  def test_a_cloth_of_the_workroom_is_taken_and_not_copied
    cloths = workroom.cloths.all.size
    face = workroom.cloths.all.find { |one| one.spec["use"] == "face" }
    reckon(STUDY.merge("face" => face.id.to_s))
    assert_equal face.id.to_s, on_the_page["face"]
    assert_nil on_the_page["cloth.width"]
    keep(LEAST.merge("face" => face.id.to_s), "Of ours")
    assert_equal face.id.to_s, job("Of ours").treatments.first.spec["face"]
    assert_equal cloths, workroom.cloths.all.size
  end

  def test_an_alteration_is_kept_too
    keep({"kind" => "shorten_at_hem"}, "Taken up")
    assert_equal 303, last_response.status
    assert_equal "shorten_at_hem", job("Taken up").treatments.first.spec["kind"]
  end

  def test_beside_it_stand_the_other_headings
    get "/reckon/beside", STUDY
    assert_equal 200, last_response.status
    assert_match(/Wave/, text)
    there = Nokogiri::HTML5(last_response.body).css("a").find { |link| link.text.include?("Eyelets") }
    get there["href"]
    assert_equal "eyelet", on_the_page["heading.kind"]
    assert answer
  end

  private

  def chosen = page.css("input[name='heading.kind']")

  def reckon(typed) = get("/reckon", typed)

  def keep(typed, whom = "") =
    send_form("/reckon/keep", "figures" => URI.encode_www_form(typed), "job_title" => whom)

  def page = Nokogiri::HTML5(last_response.body)

  def fields = page.css("#reckon [name]")

  # What the page's own form would send.
  def on_the_page
    fields.each_with_object({}) do |field, sent|
      case field.name
      when "select" then sent[field["name"]] = (field.at_css("option[selected]") || field.at_css("option"))["value"]
      else sent[field["name"]] = field["value"] unless field["type"] == "radio" && !field["checked"]
      end
    end
  end

  def newest = workroom.jobs.find(workroom.jobs.list.max_by(&:id).id)

  def answer
    figures = page.css("[data-figure]").to_h { |one| [one["data-figure"], one.at_css("b").text] }
    order = page.at_css(".to-order b")
    order && {"to_order" => order.text, **figures}
  end

  # @return [Hash{String => String}] what a person types to ask for that treatment
  def typed_of(treatment, cloth)
    unit = R::Units::MM
    said = {
      "unit" => "mm",
      "was_unit" => "mm",
      "heading.kind" => treatment["heading"]["kind"],
      "opening.kind" => treatment["opening"]["kind"],
      "lining.cloth" => treatment["lining"] ? "-1" : "",
      "interlining.cloth" => treatment["interlining"] ? "-2" : ""
    }
    CLOTH.each { |name| said["cloth.#{name}"] = shown(cloth[name]) if cloth[name] }
    asked = flat(treatment)
    2.times do
      reckon(said)
      said = on_the_page.merge(said)
      asked.each { |path, value| said[path] = shown(value) if on_the_page.key?(path) && !TAKEN.include?(path) }
    end
    said.merge("unit" => unit.name)
  end

  # Every figure by its path, as it is typed.
  def flat(raw, before = "")
    raw.flat_map { |name, value| typed_at("#{before}#{name}", value).to_a }.to_h
  end

  def typed_at(path, value)
    case value
    when Hash then (path == "heading.fullness") ? {path => percent(*value.first)} : flat(value, "#{path}.")
    when Array then (path == "drop.readings") ? readings(value) : {path => value.join(", ")}
    else {path => value}
    end
  end

  def readings(values) =
    %w[left middle right].first(values.size).zip(values).to_h.transform_keys { |place| "drop.readings.#{place}" }

  def percent(key, number) = (key == "percent_total") ? "#{number} %" : "+#{number} %"

  def shown(value)
    case value
    when true then "yes"
    when false then "no"
    else value.to_s
    end
  end

  # @return [Boolean] whether there was an answer, and the core's is the same
  def agrees(typed, told)
    reckon(typed)
    assert_equal 200, last_response.status, told
    found = answer
    made = of_the_core(typed)
    assert_equal made, found&.slice("to_order", "cut"), "#{told} #{typed}"
    !found.nil?
  end

  # The same figures as a document.
  def of_the_core(typed)
    job = EarnestFold::Documents::JobFormat.read(JSON.generate(document_of(typed)))
    made = R::JobReckoning.new(job)
    treatment = made.treatments.first
    cloth = made.cloths.find { |one| one.cloth.id == "face" }
    words = EarnestFold::Words
    {"to_order" => words.to_order(cloth), "cut" => words.length(treatment.cut_drop, R::Units::MM)}
  rescue R::Invalid
    nil
  end

  def document_of(typed)
    {
      "format" => "earnest-fold/job",
      "version" => 1,
      "title" => "t",
      "unit" => "mm",
      "cloths" => [cloth_of(typed), *INNER.map { |use| {"id" => use, "use" => use, "width" => 1370} }],
      "windows" => [{"id" => "w", "treatments" => [treatment_of(typed)]}]
    }
  end

  def cloth_of(typed)
    said = CLOTH.to_h { |name| [name, typed["cloth.#{name}"]] }.reject { |_, text| text.to_s.empty? }
    fields = said.to_h { |name, text| [name, meant(R::Cloth::FIELDS.fetch(name.to_sym), text)] }
    {"id" => "face", "use" => "face", **fields}
  end

  INNER = %w[lining interlining].freeze
  NO_FIELD = %w[unit rules face kind job_title].freeze

  def treatment_of(typed)
    said = typed.except(*NO_FIELD).reject { |name, text| name.start_with?("was_", "cloth.") || text.to_s.empty? }
    fields = EarnestFold::Work::SpecFields
    heading = {"heading" => {"kind" => typed["heading.kind"]}}
    made = said.reduce(heading) { |spec, (path, text)| fields.set(spec, path, meant(fields.field(path, spec), text)) }
    inner = INNER.to_h { |use| [use, made.dig(use, "cloth") && made[use].merge("cloth" => use)] }
    made.merge("id" => "t", "face" => "face", "drop" => made["drop"].except("taken_at"), **inner).compact
  end

  def meant(field, text) = plain(field.kind.write(field.kind.take(text, R::Units::MM)))

  # A document has plain numbers.
  def plain(value)
    case value
    when Hash then value.transform_values { |inner| plain(inner) }
    when Rational then (value.denominator == 1) ? value.to_i : value.to_f
    else value
    end
  end
end
