# frozen_string_literal: true

require "nokogiri"
require "web_test_helper"
require "pdf-reader"

# What a job comes to on the screen and on paper, by the house's rules.
class AccountStationTest < WebTest
  def setup
    super
    [:papers, :paper_numbers].each { |table| workroom.rows(table).delete }
    workroom.house.update(version: workroom.house.read.version, rules: {})
  end

  def test_payments_and_an_agreed_sum_stand_and_go
    pay("payment_name" => "deposit", "payment_amount" => "50")
    pay("agreed" => "180")
    get account
    assert_match(/paid 50\.00 € open 166\.00 €/, text)
    assert_match(/As agreed −29\.24|As agreed −[\d.]+/, text)
    assert_match(/, deposit 50\.00 take away/, text)
    pay("extra_name" => "Ready early", "extra_amount" => "-10")
    get account
    assert_match(/Ready early −10\.00 take away/, text)
    pay("away" => CGI.unescapeHTML(last_response.body[/name="away" value="([^"]+)"/, 1]))
    pay("payment_name" => "cash", "payment_amount" => "ten")
    assert_equal 422, last_response.status
    named = last_response.body[/name="unpaid" value="([^"]+)"/, 1]
    pay("unpaid" => CGI.unescapeHTML(named))
    pay("agreed" => "")
    get account
    refute_match(/deposit 50|Ready early|As agreed/, text)
  end

  def test_the_clocks_stand_beside_what_was_planned_and_can_be_charged
    pair = chapel.treatments.first
    get account
    refute_match(/by the clock/, text)
    assert_even_rows
    workroom.bench.say(pair.id, "mark_lines", "left", "corrected", value: "0")
    get account
    assert_even_rows
    workroom.bench.say(pair.id, "mark_lines", "left", "corrected", value: "12")
    get account
    assert_even_rows
    assert_match(/Draw the lines 28 min 12 min/, text)
    pay("school" => "by_clock")
    get account
    assert_match(/Altering Vestry pair: 2 h 47 min 99\.94/, text)
    assert_match(/an hour, by the clock/, text)
  end

  def test_both_schools_are_shown_and_one_is_taken
    get account
    assert_match(/by the hour, as planned 194\.\d\d € [\d.]+ € chosen/, words)
    send_form(account, **seeing(account, "school" => "by_width", "fitted" => "0", "travel" => "12,50"))
    get account
    assert_match(/by the width and drop band 172\.00 € [\d.]+ € chosen/, words)
    assert_match(/Travel 12\.50/, words)
    assert_match(/Altering Vestry pair: 2 widths 92\.00/, words)
  end

  def test_something_else_is_asked_for_and_taken_away
    send_form(
      account,
      **seeing(account, "fitted" => "0", "travel" => "", "extra_name" => "New hooks", "extra_amount" => "6.40")
    )
    get account
    assert_match(/New hooks 6\.40/, words)
    send_form(account, **seeing(account, "fitted" => "0", "away" => "New hooks ~ 6.40"))
    get account
    refute_match(/New hooks/, words)
    send_form(account, "extra_name" => "New hooks", "extra_amount" => "a few")
    assert_equal 422, last_response.status
    assert_match(/Can't be read as an amount/, words)
    assert_includes last_response.body, %(value="a few")
  end

  def test_a_quote_an_order_and_an_invoice_are_numbered_and_kept_as_they_went_out
    %w[quote order invoice].each { |kind| write(kind) }
    assert_equal [["invoice", 1], ["order", 1], ["quote", 1]],
      workroom.bills.of(chapel.id).map { |paper| [paper.kind, paper.number] }
    get "/jobs/#{chapel.id}/papers/#{workroom.bills.of(chapel.id).first.id}.pdf"
    assert_match(/attachment; filename="invoice-1.pdf"/, last_response.headers["Content-Disposition"])
    assert_match(/Invoice ?1.*The ?vestry.*Altering ?Vestry ?pair.*101\.14.*To ?pay\s+254\.40/m, pdf)
    get station(chapel, "making")
    assert_match(/Account \(done\)/, words)
  end

  def test_a_number_that_is_used_already_is_told
    write("invoice", "number" => "12")
    write("invoice", "number" => "12")
    assert_equal 422, last_response.status
    assert_match(/That number is used already/, words)
    write("invoice")
    assert_equal [13, 12], workroom.bills.of(chapel.id).map(&:number)
    write("invoice", "number" => "twelve")
    assert_equal 422, last_response.status
    write("receipt")
    assert_equal 422, last_response.status
  end

  def test_what_was_typed_of_a_paper_that_cannot_be_written_stands
    write("invoice", "number" => "twelve", "customer" => "The sexton,\nSluice House")
    assert_equal 422, last_response.status
    page = Nokogiri::HTML5(last_response.body)
    assert_equal "The sexton,\nSluice House", page.at_css("textarea[name=customer]").text.strip
    assert_equal "twelve", page.at_css("input[name=number]")["value"]
  end

  # A job as it is when it has only a name: nothing is offered that would come to nothing.
  def test_what_nothing_is_in_yet_is_no_paper
    job = workroom.jobs.create(title: "Bare", unit: "cm")
    get "/jobs/#{job}/account"
    assert_match(/Nothing is in it yet/, words)
    refute_match(/Write invoice|Minutes by step|The work, each way/, words)
    send_form("/jobs/#{job}/papers", "kind" => "invoice", "customer" => "The sexton")
    assert_equal 422, last_response.status
    assert_match(/Nothing is in it yet that could be written/, words)
    assert_match(/The sexton/, last_response.body)
    assert_empty workroom.bills.of(job)
    send_form("/jobs/#{job}/account", "extra_name" => "Rehanging", "extra_amount" => "12.00")
    get "/jobs/#{job}/account"
    assert_match(/Write invoice/, words)
  end

  def test_what_changed_since_the_quote_stands_beside_it
    write("quote")
    get account
    refute_match(/The job has changed/, words)
    pair = chapel.treatments.first
    workroom.treatments.update(pair.id, pair.spec.merge("curtains" => 4), version: pair.version)
    get account
    assert_match(/The job has changed since quote 1: then and now\./, words)
    assert_match(/Altering: Vestry pair 101\.14 19\d\.\d\d/, words)
  end

  def test_cloth_and_fitting_come_with_what_is_made
    get "/jobs/#{job("Residents' lounge").id}/account"
    assert_match(/Reedbed linen union, [\d.]+ m \d+\.\d\d/, words)
    assert_match(/Fitting at 2 windows 50\.00/, words)
  end

  def test_what_is_finished_carries_its_tag
    get account
    refute_match(/Tag it/, words)
    EarnestFold::Work::Job
      .new(chapel, workroom.cloths.all, workroom.house.read)
      .alterations
      .first
      .steps
      .flat_map(&:names)
      .each { |name| workroom.bench.say(chapel.treatments.first.id, *name, "done") }
    get account
    assert_match(/Tag it: .*167\.5 cm/, words)
  end

  def test_the_house_decides_times_prices_and_days
    save_books(
      "times.press" => "8",
      "account.hourly_rate" => "60",
      "account.prices" => "gross",
      "account.currency" => "kr",
      "diary.day_begins" => "7:45",
      "diary.people" => "2",
      "diary.zone" => "Europe/Lisbon",
      "account.bands.3.drop_to" => "4.5 m",
      "account.bands.3.price" => "80"
    )
    assert_equal 303, last_response.status
    rules = workroom.house.read.rules
    assert_equal [8r, 60r, "gross", "kr", 465, 2, "Europe/Lisbon"],
      [rules.times.press, rules.account.hourly_rate, rules.account.prices, rules.account.currency,
        rules.diary.day_begins, rules.diary.people, rules.diary.zone]
    assert_equal [1500, 2500, 3500, 4500], rules.account.bands.map { |band| band.drop_to.mm }
    get "/house-rules/books"
    assert_includes last_response.body, %(value="7:45")
  end

  def test_what_cannot_be_a_rule_stays_in_its_field
    {
      "times.press" => "long",
      "account.tax_percent" => "120",
      "diary.day_begins" => "25:00",
      "diary.zone" => "The moon",
      "diary.weekdays" => "Monday",
      "diary.day_minutes" => "1000",
      "account.bands.4.drop_to" => "400",
      "account.hourly_rate" => "-3"
    }.each do |path, typed|
      save_books(path => typed)
      assert_equal 422, last_response.status, path
      assert_equal({}, workroom.house.read.stored, path)
    end
  end

  def test_one_weekday_there_is_not_is_refused
    save_books("diary.weekdays" => "1, 9")
    assert_equal 422, last_response.status
  end

  private

  # Every row of a table has a place for each figure that its head speaks of.
  def assert_even_rows
    Nokogiri::HTML5(last_response.body).css("table.figures:has(thead)").each do |table|
      assert_equal 1, table.css("tr").map { |row| row.css("th, td").size }.uniq.size, table.to_html
    end
  end

  def chapel = job("Ferry chapel")

  def account = "/jobs/#{chapel.id}/account"

  def words = text

  def pay(fields) = send_form(account, **seeing(account, **fields))

  def write(kind, more = {}) =
    send_form("/jobs/#{chapel.id}/papers", "kind" => kind, "customer" => "The vestry", **more)

  def pdf = PDF::Reader.new(StringIO.new(last_response.body)).pages.map(&:text).join("\n")

  def save_books(changes)
    get "/house-rules/books"
    shown =
      last_response
        .body
        .scan(/<input[^>]*name="((?:times|account|diary)[^"]*)" value="([^"]*)"/)
        .to_h
        .transform_values { |value| CGI.unescapeHTML(value) }
    send_form("/house-rules/books", "version" => workroom.house.read.version.to_s, **shown.merge(changes))
  end
end
