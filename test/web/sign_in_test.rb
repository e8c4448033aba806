# frozen_string_literal: true

require "web_test_helper"
require "rotp"

# People come in by an invitation, sign in by address and password, take a second step, see where they are signed in,
# and are out when they or their session's end say so. Here nobody is signed in by the tests' own way.
class SignInTest < WebTest
  W = EarnestFold::Web
  LOGIN, PASSWORD = "wyn@sluice.example", "tape chalk bodkin hem"

  def setup
    super
    env SignedIn::KEY, nil
    @wyn = workroom.people.add("Wyn Sluice", role: "owner")
  end

  def test_whoever_is_not_signed_in_is_asked_to
    %W[/today /jobs /jobs/#{office.id} /house-rules /people /you /jobs/#{office.id}/account].each do |path|
      get path
      assert_equal [303, "/me/sign-in"], [last_response.status, path_led_to], path
    end
    get "/me/sign-in"
    assert_match(/Sign in E-mail address Password/, text)
    refute_match(/Today|Jobs|demo house/, text)
    send_plainly("/jobs", "title" => "Anybody", "unit" => "cm")
    assert_equal 401, last_response.status
    assert_match(/What you typed is kept/, text)
    assert_empty workroom.jobs.list.select { |line| line.title == "Anybody" }
  end

  def test_an_invitation_lets_in_once
    key = workroom.invitations.make(@wyn)
    get "/join/#{key}"
    assert_match(/invited as Wyn Sluice/, text)
    join(key)
    assert_equal "/", path_led_to
    get "/jobs"
    assert_equal 200, last_response.status
    assert_includes text, "Wyn Sluice"
    get "/join/#{key}"
    assert_equal 404, last_response.status
    assert_equal 404, join(key).status
    get "/join/#{"x" * 43}"
    assert_equal 404, last_response.status
  end

  def test_an_invitation_that_is_over_or_made_anew_is_worth_nothing
    first = workroom.invitations.make(@wyn)
    second = workroom.invitations.make(@wyn)
    get "/join/#{first}"
    assert_equal 404, last_response.status
    S.db[:invitations].update(ends_at: Time.now - 1)
    get "/join/#{second}"
    assert_equal 404, last_response.status
    assert_empty S.db[:invitations].where(print: [first, second]).all, "only a print is kept"
  end

  def test_who_signs_in_already_may_belong_to_several_workrooms
    joined
    next_door = other_workroom
    theirs = next_door.people.add("W. Sluice", role: "fitter")
    key = next_door.invitations.make(theirs)
    get "/join/#{key}"
    assert_match(/Come in as Wyn Sluice, who is signed in here/, text)
    post "/join/#{key}", {"as" => "me", "authenticity_token" => token}
    assert_equal "/", path_led_to
    get "/"
    assert_equal "/diary", path_led_to
    get "/you"
    assert_match(/You are fitter here.*Workrooms you belong to/, text)
    post_form("/you/workroom", "workroom" => workroom.id.to_s)
    get "/you"
    assert_match(/You are owner here/, text)
    third = other_workroom
    third.people.add("Nobody of ours")
    post_form("/you/workroom", "workroom" => third.id.to_s)
    assert_equal 404, last_response.status
  end

  def test_weak_passwords_and_taken_addresses_are_told_at_the_field
    key = workroom.invitations.make(@wyn)
    {"short" => /Too short/, "123qweasdzxc" => /everybody uses/, "x" * 201 => /Too short/}.each do |weak, told|
      join(key, "password" => weak, "again" => weak)
      assert_equal 422, last_response.status, weak
      assert_match told, text
    end
    join(key, "again" => "something else")
    assert_match(/The two aren't the same/, text)
    join(key, "login" => "no address")
    assert_match(/An e-mail address is needed/, text)
    S::Accounts.create(LOGIN)
    join(key, "login" => " WYN@sluice.example ")
    assert_match(/Somebody signs in by that address already/, text)
    assert_includes last_response.body, LOGIN
    get "/join/#{key}"
    assert_equal 200, last_response.status, "still good"
  end

  def test_signing_in_and_out
    joined
    signed_out
    get "/jobs"
    assert_equal 303, last_response.status
    assert_equal "/", signed_in
    get "/you"
    assert_match(/You are owner here, and sign in as wyn@sluice.example/, text)
  end

  def test_a_wrong_password_and_an_unknown_address_are_answered_alike
    joined
    signed_out
    said = [[LOGIN, "not the one at all"], ["nobody@nowhere.example", PASSWORD]].map do |login, password|
      sign_in("login" => login, "password" => password)
      assert_equal 401, last_response.status
      text[/Sign in .*/].gsub(login, "")
    end
    assert_equal(*said)
  end

  def test_too_many_wrong_passwords_lock_it_for_a_while
    joined
    signed_out
    10.times { sign_in("password" => "not the one at all") }
    sign_in
    assert_equal 403, last_response.status
    assert_match(/In a quarter of an hour it can be tried again/, text)
    S.db[:account_lockouts].update(deadline: Time.now - 1)
    assert_equal "/", signed_in
  end

  def test_a_session_that_was_ended_elsewhere_or_taken_from_a_copy_of_the_database_opens_nothing
    joined
    account = S::Accounts.find(LOGIN)
    kept = S.db[:account_active_session_keys].where(account_id: account).get(:session_id)
    refute_includes rack_mock_session.cookie_jar.to_hash.values.join, kept
    S::Accounts.end_device(account, kept)
    get "/jobs"
    assert_equal 303, last_response.status
  end

  def test_devices_are_listed_and_ended
    joined
    other = Rack::Test::Session.new(W::App)
    other.header "Host", "127.0.0.1"
    sign_in_on(other)
    get "/you"
    assert_match(/this one/, text)
    assert_equal 2, last_response.body.scan('name="device"').size
    here = last_response.body[/\(this one\).*?name="device" value="([^"]+)"/m, 1]
    theirs = S::Accounts.devices_of(S::Accounts.find(LOGIN)).map(&:print).find { |print| print != here }
    send_plainly("/you/device", "device" => theirs)
    other.get "/jobs"
    assert_equal 303, other.last_response.status
    get "/jobs"
    assert_equal 200, last_response.status
  end

  def test_another_password_ends_every_other_session
    joined
    other = Rack::Test::Session.new(W::App)
    other.header "Host", "127.0.0.1"
    sign_in_on(other)
    get "/me/password"
    post_form("/me/password", "password" => "wrong one entirely", "new-password" => "a" * 20,
      "password-confirm" => "a" * 20)
    assert_match(/That isn't your password/, text)
    fresh = "selvedge bobbin awl thimble"
    post_form("/me/password", "password" => PASSWORD, "new-password" => fresh, "password-confirm" => fresh)
    assert_equal "/you", path_led_to
    other.get "/jobs"
    assert_equal 303, other.last_response.status
    get "/jobs"
    assert_equal 200, last_response.status
    signed_out
    sign_in
    assert_equal 401, last_response.status
    sign_in("password" => fresh)
    assert_equal "/", path_led_to
  end

  def test_a_link_for_a_new_password
    joined
    signed_out
    key = workroom.invitations.make(@wyn)
    get "/join/#{key}"
    assert_match(/Choose a new password, Wyn Sluice/, text)
    join(key, "known" => "yes", "password" => "a b c d e f g h", "again" => "a b c d e f g h")
    assert_equal "/", path_led_to
    signed_out
    sign_in
    assert_equal 401, last_response.status
    sign_in("password" => "a b c d e f g h")
    assert_equal "/", path_led_to
  end

  def test_with_codes_from_a_phone_a_password_alone_opens_nothing
    joined
    secret = with_codes
    signed_out
    sign_in
    get "/jobs"
    assert_equal [303, "/me/second-step"], [last_response.status, path_led_to]
    get "/me/code"
    assert_equal 200, last_response.status
    post_form("/me/code", "otp" => "000000")
    assert_match(/code isn't right|didn't open/, text)
    S.db[:account_otp_keys].update(last_use: Time.now - 90)
    post_form("/me/code", "otp" => ROTP::TOTP.new(secret).now)
    get "/jobs"
    assert_equal 200, last_response.status
  end

  def test_who_may_what_is_changed_by_whoever_is_sure_to_be_they
    joined
    neap = workroom.people.add("Neap Tolley", role: "maker")
    may = lambda do |role, saw, **more|
      send_plainly("/people/#{neap}", "role" => role, "saw" => {"role" => saw}, **more)
      [workroom.people.find(neap).role, last_response.status]
    end
    assert_equal ["fitter", 303], may.call("fitter", "maker")
    an_hour_later do
      assert_equal ["fitter", 422], may.call("owner", "fitter", "books" => "yes")
      assert_match(/Is it still you/, text)
      {"role" => "owner", "saw[role]" => "fitter"}.each do |name, value|
        assert_includes last_response.body, %(type="hidden" name="#{name}" value="#{value}")
      end
      assert_equal ["fitter", 422], may.call("owner", "fitter", "your_password" => "not the one at all")
      assert_match(/That isn't your password/, text)
      assert_equal ["owner", 303], may.call("owner", "fitter", "your_password" => PASSWORD)
      assert_equal ["apprentice", 303], may.call("apprentice", "owner")
    end
  end

  def test_a_session_that_was_left_open_guesses_no_oftener_than_anybody
    joined
    neap = workroom.people.add("Neap Tolley", role: "maker")
    an_hour_later do
      10.times { send_plainly("/people/#{neap}/remove", "your_password" => "not the one at all") }
      S.db[:account_lockouts].update(deadline: Time.now + 60)
      send_plainly("/people/#{neap}/remove", "your_password" => PASSWORD)
      assert_equal 422, last_response.status
    end
    assert_equal "Neap Tolley", workroom.people.find(neap).name
  end

  def test_the_demo_house_is_open_by_a_touch_here_alone
    S::DemoHouse.new(workroom).load(reset: true, whole: true)
    get "/me/sign-in"
    refute_match(/Ida Marram/, text)
    with_demo do
      get "/me/sign-in"
      assert_match(/Ida Marram owner/, text)
      post_form("/me/demo", "person" => ida.to_s)
      assert_equal "/", path_led_to
      get "/today"
      assert_includes text, "Ida Marram"
      signed_out
      [{"REMOTE_ADDR" => "192.0.2.7"}, {"HTTP_X_FORWARDED_FOR" => "192.0.2.7"}].each do |from|
        get "/me/sign-in", {}, from
        refute_match(/Ida Marram/, text)
        post_form("/me/demo", {"person" => ida.to_s}, from)
        assert_equal 403, last_response.status
      end
      post_form("/me/demo", "person" => @wyn.to_s)
      assert_equal 403, last_response.status
    end
    post_form("/me/demo", "person" => ida.to_s)
    assert_equal 403, last_response.status
  end

  def test_without_a_token_nothing_is_taken
    joined
    post "/me/sign-out", {}
    assert_equal 403, last_response.status
    get "/jobs"
    assert_equal 200, last_response.status
  end

  def test_nobody_asks_for_what_only_we_show
    get "/sign-in-page"
    assert_equal 404, last_response.status
    get "/me/nothing"
    assert_equal 404, last_response.status
  end

  private

  # By the application's clock; the database's goes on.
  def an_hour_later(&block) = Time.now.then { |now| Time.stub(:now, now + 3600, &block) }

  def path_led_to = last_response["Location"].to_s.sub(%r{\Ahttp://[^/]+}, "")

  def token
    last_response.body[/name="authenticity_token" value="([^"]+)"/, 1]
  end

  # From the page that was shown last, or the one of signing in.
  def post_form(path, fields = {}, from = {}, **more)
    get("/me/sign-in", {}, from) unless token
    get("/you", {}, from) unless token
    post(path, fields.merge(more.transform_keys(&:to_s)).merge("authenticity_token" => token), from)
  end

  def send_plainly(path, **fields)
    get "/me/sign-in"
    get "/you" unless token
    post(path, fields.merge("authenticity_token" => token))
    last_response
  end

  def join(key, **fields)
    get "/join/#{key}"
    get "/me/sign-in" unless token
    get "/you" unless token
    post "/join/#{key}", {"name" => "Wyn Sluice", "login" => LOGIN, "password" => PASSWORD, "again" => PASSWORD}
      .merge(fields).merge("authenticity_token" => token)
    last_response
  end

  def joined = join(workroom.invitations.make(@wyn))

  def sign_in(**fields)
    get "/me/sign-in"
    post "/me/sign-in", {"login" => LOGIN, "password" => PASSWORD}.merge(fields).merge("authenticity_token" => token)
  end

  def signed_in = sign_in && path_led_to

  def sign_in_on(other)
    other.get "/me/sign-in"
    fields = {"login" => LOGIN, "password" => PASSWORD,
              "authenticity_token" => other.last_response.body[/name="authenticity_token" value="([^"]+)"/, 1]}
    other.post "/me/sign-in", fields
    other.get "/jobs"
    assert_equal 200, other.last_response.status
  end

  def signed_out
    get "/you"
    post "/me/sign-out", {"authenticity_token" => token}
    assert_equal "/me/sign-in", path_led_to
  end

  # @return [String] what a phone would make its codes from
  def with_codes
    get "/me/codes"
    assert_equal 200, last_response.status
    secret, raw = %w[otp_secret otp_raw_secret].map { |name| last_response.body[/name="#{name}" value="([^"]+)"/, 1] }
    fields = {"otp_secret" => secret, "otp_raw_secret" => raw, "password" => PASSWORD,
              "otp" => ROTP::TOTP.new(secret).now}
    post_form("/me/codes", fields)
    assert_equal "/you", path_led_to
    secret
  end

  def ida = workroom.people.all.find { |person| person.name == "Ida Marram" }.id

  def with_demo
    W::App.set :demo, true
    yield
  ensure
    W::App.set :demo, false
  end
end
