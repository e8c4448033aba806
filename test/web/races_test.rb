# frozen_string_literal: true

require "open3"
require "stringio"
require "web_test_helper"

# Several at the door at the same moment, in processes of their own, with a clock that was set back: in comes who may,
# once. Everything is really committed here.
class RacesTest < EarnestFoldTest
  include HiddenFaults

  S, W = EarnestFold::Store, EarnestFold::Web
  LOGIN, PASSWORD = "wyn@sluice.example", "tape chalk bodkin hem"
  HANDS = 6

  def setup
    @before = S.db[:accounts].select_map(:id)
    @wyn = workroom.people.add("Wyn Sluice", role: "owner")
  end

  def teardown
    S.db[:accounts].exclude(id: @before).delete
    workroom.rows(:people).where(id: @wyn).delete
    [:papers, :jobs].each { |table| workroom.rows(table).where(by_us(table)).delete }
    workroom.rows(:paper_numbers).delete
  end

  def test_of_two_who_take_one_invitation_one_is_in
    key = workroom.invitations.make(@wyn)
    answers = at_once { |hand, number| joined(hand, key, "login" => "wyn#{number}@sluice.example").status }
    assert_equal({303 => 1, 404 => HANDS - 1}, answers.tally)
    assert_equal 1, S.db[:accounts].exclude(id: @before).count
    assert_equal workroom.people.find(@wyn).account_id, S.db[:accounts].exclude(id: @before).get(:id)
  end

  # Of guesses at the very same moment the first may count as one.
  def test_who_guesses_with_many_hands_guesses_hardly_oftener
    come_in
    3.times { at_once { |hand, _| sign_in(hand, "not the one at all").status } }
    assert_equal 403, sign_in(device, PASSWORD).status
  end

  def test_a_customers_link_is_answered_once_by_however_many
    job = workroom.jobs.create(title: "Race for a quote", unit: "cm")
    content = {"customer" => "", "title" => "", "lines" => [], "gross" => "1.00", "net" => "1.00", "tax" => "0.00"}
    key = workroom.customer_links.make(paper: workroom.bills.write(job, "quote", content).id)
    answers = at_once do |hand, number|
      hand.get "/for/#{key}"
      said = number.even? ? "accepted" : "declined"
      send_form(hand, "/for/#{key}", "said" => said, "name" => "Hand #{number}").status
    end
    assert_equal({303 => 1, 409 => HANDS - 1}, answers.tally)
    assert_equal 1, workroom.rows(:paper_answers).where(paper_id: workroom.bills.of(job).first.id).count
  end

  def test_two_processes_serve_the_same_people
    here = come_in
    assert_equal "200", elsewhere(here)
    S.db[:account_active_session_keys].where(account_id: S::Accounts.find(LOGIN)).delete
    assert_equal "303", elsewhere(here)
    here.get "/jobs"
    assert_equal 303, here.last_response.status
  end

  # As rows look whose clock was ahead: in the future.
  def test_a_clock_that_was_set_back_shuts_nobody_out_and_lets_nobody_in
    here, ahead = come_in, Time.now + 3600
    sessions = S.db[:account_active_session_keys].where(account_id: S::Accounts.find(LOGIN))
    sessions.update(last_use: ahead, created_at: ahead)
    here.get "/jobs"
    assert_equal 200, here.last_response.status
    here.get "/you"
    assert_equal 200, here.last_response.status
    sessions.update(created_at: Time.now - 91 * 86_400)
    here.get "/jobs"
    assert_equal 303, here.last_response.status
  end

  def test_what_the_log_says_opens_nothing
    log, key = StringIO.new, workroom.invitations.make(@wyn)
    hand = Rack::Test::Session.new(W::RequestLog.new(W::App, Logger.new(log)))
    hand.header "Host", "127.0.0.1"
    joined(hand, key)
    hand.get "/jobs?secret=1"
    hand.get "/for/#{"k" * 43}"
    assert_match(%r{GET  200 .* /jobs$}, log.string)
    cookie = hand.cookie_jar.to_hash.values
    prints = S.db[:account_active_session_keys].select_map(:session_id)
    [key, "k" * 43, PASSWORD, LOGIN, *cookie, *prints].each { |secret| refute_includes log.string, secret }
  end

  private

  def workroom = @workroom ||= S.workroom

  def by_us(table)
    ours = workroom.rows(:jobs).where(title: "Race for a quote").select(:id)
    (table == :jobs) ? {id: ours} : {job_id: ours}
  end

  def device = Rack::Test::Session.new(W::App).tap { |one| one.header("Host", "127.0.0.1") }

  # Each with a device of its own.
  def at_once
    Array.new(HANDS) { |number| [device, number] }
      .map { |hand, number| Thread.new { yield(hand, number) } }.map(&:value)
  end

  def come_in = device.tap { |hand| joined(hand, workroom.invitations.make(@wyn)) }

  def joined(hand, key, more = {})
    hand.get "/join/#{key}"
    send_form(hand, "/join/#{key}",
      {"name" => "Wyn Sluice", "login" => LOGIN, "password" => PASSWORD, "again" => PASSWORD}.merge(more))
  end

  def sign_in(hand, password)
    hand.get "/me/sign-in"
    send_form(hand, "/me/sign-in", "login" => LOGIN, "password" => password)
  end

  # With the token of the page that was shown last, or of the one of signing in.
  def send_form(hand, path, fields)
    hand.get "/me/sign-in" unless token(hand)
    hand.post(path, fields.merge("authenticity_token" => token(hand)))
    hand.last_response
  end

  def token(hand) = hand.last_response.body[/name="authenticity_token" value="([^"]+)"/, 1]

  ELSEWHERE = <<~RUBY
    require "earnest_fold"
    EarnestFold::Store.connect(ENV.fetch("DATABASE_URL"))
    require "rack/mock"
    asked = {"HTTP_HOST" => "127.0.0.1", "HTTP_COOKIE" => ENV.fetch("COOKIE")}
    asked = Rack::MockRequest.env_for("http://127.0.0.1/jobs", asked)
    print EarnestFold::Web::App.call(asked).first
  RUBY

  # @return [String] what another process answers the same device
  def elsewhere(hand)
    environment = {
      "COOKIE" => hand.cookie_jar.for(URI("http://example.org/")),
      "SESSION_SECRET" => W::App.settings.sessions.fetch(:secret), "DATABASE_URL" => ENV.fetch("DATABASE_URL")
    }
    Open3.capture2(environment, "ruby", "-Ilib", "-e", ELSEWHERE, chdir: ROOT).first
  end
end
