# frozen_string_literal: true

require "web_test_helper"
require "minitest/mock"
require "nokogiri"

# What can't be reckoned or drawn is shown as such at its place; lists, books, diary and the papers of others go on.
class OneBadRecordTest < WebTest
  M = EarnestFold::Reckoning::MakingUp

  def setup
    super
    remember_nothing
    @job = job("Residents' lounge")
    @bad, @good = @job.treatments.first(2)
  end

  def teardown
    remember_nothing
    super
  end

  def test_a_step_that_fails_harms_its_own_treatment_alone
    order = M::Order.method(:new)
    M::Order.stub(
      :new,
      ->(made, house) do
        (made.id == @bad.id.to_s) ? raise(NoMethodError, "undefined method for nil") : order.call(made, house)
      end
    ) do
      everything_else_goes_on
    end
  end

  def test_a_remark_that_fails_too
    judgement = EarnestFold::Reckoning::Judgement
    call = judgement::Rules["middle_too"].touched
    fails = judgement::Rules["middle_too"].with(
      touched: ->(seen, touch) do
        (seen.treatment.id == @bad.id.to_s) ? raise(NoMethodError, "undefined method for nil") : call.call(seen, touch)
      end
    )
    rules = judgement.at_work.map { |rule| (rule.code == fails.code) ? fails : rule }
    judgement.stub(:at_work, rules) { everything_else_goes_on }
  end

  def test_a_treatment_that_cannot_even_be_read_too
    read = EarnestFold::Reckoning::TreatmentReader.instance_method(:read)
    bad = @bad.id.to_s
    EarnestFold::Reckoning::TreatmentReader.class_eval do
      define_method(:read) do |raw, place, **known, &keep|
        (raw["id"] == bad) ? raise(TypeError, "can't be") : read.bind_call(self, raw, place, **known, &keep)
      end
    end
    everything_else_goes_on
  ensure
    EarnestFold::Reckoning::TreatmentReader.define_method(:read, read)
  end

  def test_a_piece_that_cannot_be_read_harms_itself_alone
    cloth = workroom.cloths.all.find { |one| one.id.to_s == @good.spec["face"] }
    before = workroom.shelf.all.map(&:label)
    workroom.shelf.receive(cloth.id, "Odd", {"delivered" => "9 m", "flaws" => [{"from" => "3 m", "to" => "soon"}]})
    all_pages_answer
    ["/shelf.csv", "/shelf-labels.pdf", "/cloths", "/cloths/#{cloth.id}", "/jobs/#{@job.id}/table/#{cloth.id}"]
      .each { |address| answers(address) }
    get "/shelf"
    assert_match(/Piece Odd can't be read as it is kept/, text)
    odd = Nokogiri::HTML5(last_response.body).at_css("form.notice")["action"]
    send_form(odd, "used_up" => "yes")
    get "/shelf"
    refute_match(/Odd/, text)
    assert_equal before, workroom.shelf.all.map(&:label)
  end

  # And it can be mended where it stands.
  def test_a_cloth_that_cannot_be_read_harms_what_is_made_of_it_alone
    cloth = workroom.cloths.all.find { |one| one.id.to_s == @bad.spec["face"] }
    workroom.cloths.update(cloth.id, cloth.spec.merge("width" => "wide"), colour: cloth.colour, version: cloth.version)
    all_pages_answer(of_the_other: %w[measure heading cloth cutting making hanging])
    ["/cloths", "/shelf"].each { |address| answers(address) }
    get "/cloths/#{cloth.id}"
    fields = Nokogiri::HTML5(last_response.body).css("#main form [name]")
    shown = fields.to_h { |field| [field["name"], field["value"]] }
    assert_equal "wide", shown["width"]
    send_form("/cloths/#{cloth.id}", **shown.compact.transform_keys(&:to_sym), width: "140", "saw[width]": "wide")
    assert_equal "140 cm", workroom.cloths.find(cloth.id).spec["width"]
  end

  # It stands as it begins, which is said on every page that reckons with it, and can be written anew.
  def test_a_rule_of_the_house_that_cannot_be_read_shuts_nobody_out
    begun = workroom.house.read
    workroom.house.update(version: begun.version, rules: {
      "table_length" => "long", "account" => {"tax_percent" => "much", "price_of_width" => "9.50"}
    })
    all_pages_answer
    %w[/shelf /cloths /reckon /house-rules /house-rules/books].each { |address| answers(address) }
    assert_match(/stands as it begins, until it is written anew: The table's length; /, text)
    assert_equal begun.rules.account.tax_percent, workroom.house.read.rules.account.tax_percent
    get "/house-rules"
    fields = Nokogiri::HTML5(last_response.body).css("#main form [name]")
    shown = fields.to_h { |field| [field["name"], field["value"]] }.compact.transform_keys(&:to_sym)
    assert_equal "long", shown[:"rules.table_length"]
    send_form("/house-rules", **shown, "rules.table_length": "3 m", "saw[rules.table_length]": "long")
    assert_equal ["account.tax_percent"], workroom.house.read.unread
  end

  private

  # What is remembered was made by the rules as they are, and these tests make some fail.
  def remember_nothing = EarnestFold::Work::Memory.clear

  # Lists, books, diary, papers, and every station of both.
  def all_pages_answer(of_the_other: %w[measure heading cloth cutting making bench hanging])
    causing_faults
    [
      "/jobs",
      "/today",
      "/jobs/#{@job.id}",
      "/jobs/#{@job.id}/account",
      "/diary",
      "/diary.ics",
      "/logbook",
      "/logbook.csv",
      "/jobs/#{@job.id}/read-back",
      "/jobs/#{@job.id}/job.fold.json"
    ].each do |address|
      answers(address)
    end
    %w[work-order.pdf hanging-sheet.pdf tags.pdf needs.pdf order.pdf needs.csv].each do |paper|
      answers("/jobs/#{@job.id}/#{paper}")
    end
    of_the_other.each { |station| answers("/jobs/#{@job.id}/treatments/#{@good.id}/#{station}") }
    %w[measure heading cloth cutting making hanging].each do |station|
      answers("/jobs/#{@job.id}/treatments/#{@bad.id}/#{station}")
    end
  end

  def everything_else_goes_on
    all_pages_answer
    send_form(
      "/jobs/#{@job.id}/treatments/#{@bad.id}/measure",
      :headers => {"HX-Request" => "true"},
      "unit" => "cm",
      "ease" => "3",
      "saw" => {"ease" => @bad.spec["ease"].to_s.delete_suffix(" cm")}
    )
    assert_equal [200, "3 cm"],
      [last_response.status, job("Residents' lounge").treatments.first.spec["ease"]],
      "what is typed of it is kept all the same"
    get "/jobs/#{@job.id}/treatments/#{@good.id}/making"

    assert_match(/can't be shown/, text, "it is told in the rail of the others")
    get "/jobs/#{@job.id}/treatments/#{@bad.id}/making"

    assert_match(/a fault of ours, which the log has/, text)
    get "/jobs/#{@job.id}/account"

    assert_match(/isn't in it yet/, text)
  end

  def answers(address)
    get address

    assert_equal 200, last_response.status, "#{address}: #{last_request.env["sinatra.error"].inspect[0, 300]}"
  end
end
