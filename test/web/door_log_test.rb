# frozen_string_literal: true

require "stringio"
require "web_test_helper"

# What happened at the door stands in a log of its own, by numbers: nobody's name, address or key.
class DoorLogTest < WebTest
  W = EarnestFold::Web
  LOGIN, PASSWORD = "wyn@sluice.example", "tape chalk bodkin hem"

  def setup
    super
    @said = StringIO.new
    @log = Logger.new(@said, formatter: ->(_, _, _, line) { "#{line}\n" })
  end

  def test_coming_in_and_being_turned_away
    wyn = workroom.people.add("Wyn Sluice", role: "maker")
    heard do
      env SignedIn::KEY, nil
      joined(workroom.invitations.make(wyn))
      get "/people"
      send_plainly("/me/sign-out")
      sign_in("not the one at all")
      sign_in(PASSWORD)
    end
    assert_equal %w[joined signed_in not_theirs signed_out sign_in_failed signed_in], events
    account = S::Accounts.find(LOGIN)
    assert_match(/sign_in_failed +-  127.0.0.1  account=#{account}$/, told)
    assert_match(%r{not_theirs +#{workroom.id}/#{wyn}  127.0.0.1  path=_people$}, told)
    [LOGIN, PASSWORD, "Wyn"].each { |secret| refute_includes told, secret }
  end

  def test_who_was_let_do_what
    tern = workroom.customers.add(name: "Wenna Tern")
    heard do
      send_form("/people", "name" => "Neap Tolley", "role" => "maker")
      neap = workroom.people.all.find { |person| person.name == "Neap Tolley" }.id
      saw = {"name" => "Neap Tolley", "role" => "maker", "books" => "no"}
      send_form("/people/#{neap}", "name" => "Neap Tolly", "saw" => saw)
      send_form("/people/#{neap}", "role" => "owner", "books" => "yes", "saw" => saw)
      send_form("/people/#{neap}/invite")
      send_form("/people/#{neap}/remove")
      get "/customers/#{tern}/known.tar"
      send_form("/customers/#{tern}/forget", "sure" => "yes")
    end
    assert_equal %w[person_added role_changed invited person_removed customer_handed_out customer_forgotten], events
    assert_match(/role_changed .*role=owner  books=true$/, told)
    refute_match(/Neap|Wenna/, told)
  end

  private

  def heard(&block) = W::DoorLog.stub(:log, @log, &block)

  def told = @said.string

  def events = told.lines.map { |line| line[/\A\w+/] }

  def joined(key)
    get "/join/#{key}"
    fields = {"name" => "Wyn Sluice", "login" => LOGIN, "password" => PASSWORD, "again" => PASSWORD}
    post "/join/#{key}", fields.merge("authenticity_token" => token)
  end

  def sign_in(password)
    get "/me/sign-in"
    post "/me/sign-in", "login" => LOGIN, "password" => password, "authenticity_token" => token
  end

  def send_plainly(path)
    get "/you"
    post path, "authenticity_token" => token
  end

  def token = last_response.body[/name="authenticity_token" value="([^"]+)"/, 1]
end
