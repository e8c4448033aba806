# frozen_string_literal: true

require "system_test_helper"

# People sign in in the real browser: by an invitation, by a touch in the demo house, by a key; and what was typed when
# the session ended is sent when they are in again.
class SignInInTheBrowserTest < SystemTest
  BARE = EarnestFold::Web::App
  LOGIN, PASSWORD = "wyn@sluice.example", "tape chalk bodkin hem"

  def setup
    super
    Browser.opens(BARE)
    # A key belongs to a name, never to a number.
    Capybara.app_host = "http://localhost"
    Capybara.always_include_port = true
    [:people, :invitations].each { |table| workroom.rows(table).delete }
    S.db[:accounts].delete
    @wyn = workroom.people.add("Wyn Sluice", role: "owner")
  end

  def teardown
    Browser.opens(APP)
    Capybara.app_host, Capybara.always_include_port = nil, false
    [:people, :invitations].each { |table| workroom.rows(table).delete }
    S.db[:accounts].delete
    super
  end

  def test_an_invitation_a_key_and_signing_in_by_it
    joined
    authenticator = with_key_in_hand
    visit "/me/key-new"
    fill_in "Password", with: PASSWORD
    click_on "Ask for it"
    assert_text "The key is known from now on"
    click_on "Sign out"
    fill_in "E-mail address", with: LOGIN
    fill_in "Password", with: PASSWORD
    click_on "Sign in"
    assert_text "Your key"
    visit "/jobs"
    assert_no_text "Residents' lounge"
    visit "/me/key"
    click_on "Ask for it"
    assert_selector "nav a", text: "Wyn Sluice"
  ensure
    authenticator&.remove!
  end

  def test_the_pages_are_there_for_everyone
    joined
    at = %w[/me/password /me/second /me/codes /me/spare-codes /me/close /me/address]
    at.each do |path|
      visit path
      assert_empty findings, path
    end
    click_on "Wyn Sluice", match: :first
    click_on "Sign out"
    assert_empty findings
  end

  # As it is a quarter of an hour later.
  def test_who_may_what_asks_for_the_password_and_keeps_what_was_chosen
    joined
    minutes = EarnestFold::Web::Sure.instance_method(:lately?)
    EarnestFold::Web::Sure.define_method(:lately?) { false }
    visit "/people"
    fill_in "Name", with: "Neap Tolley"
    select "fitter", from: "Role"
    click_on "Add them"
    assert_text "Is it still you?"
    assert_empty findings
    fill_in "Password", with: "not the one at all"
    click_on "Go on"
    assert_text "That isn't your password"
    fill_in "Password", with: PASSWORD
    click_on "Go on"
    assert_selector "h1", text: "Neap Tolley"
    assert_equal "fitter", workroom.people.all.find { |person| person.name == "Neap Tolley" }.role
    refute_includes page.evaluate_script("JSON.stringify(localStorage)"), PASSWORD
  ensure
    EarnestFold::Web::Sure.define_method(:lately?, minutes) if minutes
  end

  def test_what_was_typed_when_the_session_ended_waits_for_signing_in
    joined
    job = workroom.jobs.list.find { |line| line.title == "Ticket office" }
    treatment = workroom.jobs.find(job.id).treatments.first
    visit "/jobs/#{job.id}/treatments/#{treatment.id}/measure"
    S.db[:account_active_session_keys].delete
    type "Overlap, in all", "14"
    type "Left return", "8"
    assert_selector ".unsent-mark", minimum: 1
    visit "/me/sign-in"
    fill_in "E-mail address", with: LOGIN
    fill_in "Password", with: PASSWORD
    click_on "Sign in"
    visit "/jobs/#{job.id}/treatments/#{treatment.id}/measure"
    assert_settled
    spec = workroom.jobs.find(job.id).treatments.first.spec
    assert_equal ["14 cm", "8 cm"], spec.values_at("overlap", "return_left")
  end

  def test_what_one_typed_is_not_sent_by_another
    joined
    job = workroom.jobs.list.find { |line| line.title == "Ticket office" }
    treatment = workroom.jobs.find(job.id).treatments.first
    path = "/jobs/#{job.id}/treatments/#{treatment.id}/measure"
    visit path
    S.db[:account_active_session_keys].delete
    type "Overlap, in all", "14"
    assert_selector ".unsent-mark", minimum: 1
    @wyn = workroom.people.add("Neap Tolley", role: "maker")
    joined("neap@tolley.example", "Neap Tolley")
    visit path
    assert_no_selector ".unsent-mark"
    refute_equal "14 cm", workroom.jobs.find(job.id).treatments.first.spec["overlap"]
    click_on "Neap Tolley", match: :first
    click_on "Sign out"
    sign_in
    visit path
    assert_settled
    assert_equal "14 cm", workroom.jobs.find(job.id).treatments.first.spec["overlap"]
    assert_equal ["Wyn Sluice"], workroom.treatments.changes(treatment.id).map(&:by).uniq
  end

  private

  def sign_in
    fill_in "E-mail address", with: LOGIN
    fill_in "Password", with: PASSWORD
    click_on "Sign in"
    assert_selector "nav a", text: "Wyn Sluice"
  end

  def joined(login = LOGIN, name = "Wyn Sluice")
    visit "/join/#{workroom.invitations.make(@wyn)}"
    fill_in "E-mail address", with: login
    fill_in "New password", with: PASSWORD
    fill_in "The same again", with: PASSWORD
    click_on "Come in"
    assert_selector "nav a", text: name
  end

  def with_key_in_hand
    options = Selenium::WebDriver::VirtualAuthenticatorOptions.new(protocol: :ctap2, resident_key: true,
      user_verification: true, user_consenting: true, user_verified: true)
    page.driver.browser.add_virtual_authenticator(options)
  end
end
