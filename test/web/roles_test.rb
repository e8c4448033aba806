# frozen_string_literal: true

require "web_test_helper"

# Who may what: every route, for every role, for nobody, and for a workroom next door. What isn't theirs is answered
# 403 or 404, and not a byte of it.
class RolesTest < WebTest
  HANDLERS = EarnestFold::Web::App::HANDLERS
  NOBODY, STRANGER = :nobody, :stranger
  ALL, MAKERS, OWNER = %w[owner maker fitter apprentice], %w[owner maker], %w[owner]
  AT_JOB = MAKERS + %w[apprentice]

  # Who may, written down once more beside the handlers: by the beginning of an address, the longest first; where a
  # verb matters it stands before it.
  MAY = {
    "/" => ALL, "/reckon" => ALL, "/keys" => ALL, "/measure-sheet" => ALL, "/you" => ALL, "/errands/" => ALL,
    "/c/" => ALL,
    "/you/meters" => AT_JOB, "post /you/meters" => AT_JOB,
    "post /reckon/keep" => MAKERS,
    "/today" => MAKERS, "/find" => MAKERS, "/errands" => MAKERS, "/cloths" => MAKERS, "/shelf" => MAKERS,
    "/tapes" => MAKERS, "/logbook" => MAKERS, "post /house-rules" => OWNER, "/house-rules" => MAKERS,
    "/people" => OWNER, "/customers" => MAKERS, "/outside" => MAKERS,
    "post /outside/:thing/switch" => OWNER, "post /customers/:customer/forget" => OWNER,
    "/customers/:customer/known.tar" => %i[owner books],
    "post /house-rules/books" => OWNER, "/house-rules/books" => %i[owner books],
    "/books" => %i[owner books],
    "/diary" => MAKERS + %w[fitter], "/you/calendar" => MAKERS + %w[fitter], "post /diary" => MAKERS,
    "get /jobs" => AT_JOB, "post /jobs" => MAKERS, "/jobs/archive" => MAKERS, "/jobs/import" => MAKERS,
    "get /jobs/:id" => AT_JOB, "post /jobs/:id" => MAKERS, "post /jobs/:id/unit" => AT_JOB,
    "/jobs/:id/letters" => MAKERS, "/jobs/:id/account" => %i[owner books], "/jobs/:id/papers" => %i[owner books],
    "post /jobs/:id/papers" => %i[owner books], "get /jobs/:id/job.fold.tar" => %i[owner books],
    "get /jobs/:id/job.fold.json" => MAKERS, "get /jobs/:id/needs" => MAKERS, "get /jobs/:id/order" => MAKERS,
    "get /jobs/:id/hanging-sheet.pdf" => ALL, "get /jobs/:id/tags.pdf" => ALL,
    "/jobs/:id/cutting" => AT_JOB, "post /jobs/:id/cutting" => AT_JOB, "/jobs/:id/table" => AT_JOB,
    "post /jobs/:id/table" => AT_JOB,
    "/jobs/:id/buying" => MAKERS, "get /jobs/:id/buying" => MAKERS, "post /jobs/:id/buying" => MAKERS,
    "/jobs/:id/treatments" => AT_JOB, "post /jobs/:id/treatments" => AT_JOB,
    "/jobs/:id/treatments/:treatment/making" => ALL, "/jobs/:id/treatments/:treatment/bench" => ALL,
    "/jobs/:id/treatments/:treatment/hanging" => ALL, "/jobs/:id/treatments/:treatment/seen-to" => ALL,
    "post /jobs/:id/treatments/:treatment/tags/print" => ALL,
    "/jobs/:id/treatments/:treatment/hanging-sheet.pdf" => ALL, "/jobs/:id/treatments/:treatment/tags.pdf" => ALL,
    "post /jobs/:id/treatments/:treatment/log" => MAKERS, "/jobs/:id/treatments/:treatment/slips" => MAKERS,
    "post /jobs/:id/treatments/:treatment/slips" => MAKERS,
    **%w[copy layer move put-away bring-back].to_h { |one| ["post /jobs/:id/treatments/:treatment/#{one}", MAKERS] }
  }.freeze
  # Before anybody is known.
  OPEN = %w[/join/:key /sign-in-page /health /ready /authority.crt /calendar/:key.ics
    /for/:key /for/:key/paper.pdf /readings /bounced].freeze

  HANDLERS.each do |handler|
    define_method(:"test_#{handler.name.split("::").last}") do
      routes = handler.routes.reject { |route| OPEN.include?(route.path) }
      Walks.some(routes, (routes.size/3r).ceil).each { |route| walked(route) }
    end
  end

  def test_an_apprentice_sees_the_jobs_that_are_lent_to_them_and_no_other
    env SignedIn::KEY, who("apprentice", false)
    get "/jobs"
    assert_includes text, office.title
    refute_includes text, "Residents' lounge"
    get "/jobs/#{job("Residents' lounge").id}"
    assert_equal 404, last_response.status
    get "/jobs/#{office.id}"
    assert_equal 200, last_response.status
    refute_match(/Comes to/i, text)
  end

  # The busiest: a page of jobs came after the one that was lent.
  def test_what_was_lent_long_ago_stays_lent_and_is_listed
    lent = office.id
    35.times { |index| workroom.jobs.create(title: "Room #{index}", unit: "cm") }
    recent = workroom.jobs.list.first
    send_form("/people/#{@lark}/lent", "jobs" => [lent.to_s, recent.id.to_s])
    assert_equal [lent, recent.id].sort, workroom.people.lent(@lark).sort
    env SignedIn::KEY, who("apprentice", false)
    get "/jobs"
    assert_includes text, "Ticket office"
    assert_includes text, recent.title
  end

  def test_what_money_there_is_is_told_with_the_books_alone
    get "/jobs/#{office.id}"
    assert_match(/comes to/i, text)
    env SignedIn::KEY, who("maker", false)
    get "/jobs/#{office.id}"
    refute_match(/comes to/i, text)
    refute_includes last_response.body, %(href="/books")
    env SignedIn::KEY, who("maker", true)
    get "/jobs/#{office.id}"
    assert_match(/comes to/i, text)
    assert_includes last_response.body, %(href="/books")
  end

  def test_everybody_begins_with_their_own
    {"owner" => "/today", "maker" => "/today", "fitter" => "/diary", "apprentice" => "/jobs"}.each do |role, home|
      env SignedIn::KEY, who(role, false)
      get "/"
      assert last_response["Location"].end_with?(home), role
      follow_redirect!
      assert_equal 200, last_response.status, role
    end
  end

  def test_the_last_owner_stays
    id = workroom.people.add("Wyn Sluice", role: "owner")
    workroom.people.belongs(id, S::Accounts.create("wyn@sluice.example"))
    saw = {"role" => "owner", "books" => "no"}
    send_form("/people/#{id}", "role" => "maker", "saw" => saw)
    assert_match(/Somebody must stay/, text)
    send_form("/people/#{id}/remove")
    assert_equal 422, last_response.status
    other = workroom.people.add("Neap Tolley", role: "owner")
    workroom.people.belongs(other, S::Accounts.create("neap@tolley.example"))
    assert_equal 303, send_form("/people/#{id}", "role" => "fitter", "saw" => saw).status
    assert_equal "fitter", workroom.people.find(id).role
  end

  def test_people_are_added_invited_lent_to_and_taken_off
    send_form("/people", "name" => "  Neap Tolley ", "role" => "apprentice")
    lark = workroom.people.all.find { |person| person.name == "Neap Tolley" }
    get "/people/#{lark.id}"
    assert_match(/Doesn't sign in/, text)
    send_form("/people/#{lark.id}/invite")
    get "/people/#{lark.id}"
    assert_match(%r{http://127.0.0.1/join/[\w-]{43}}, text)
    get "/people/#{lark.id}"
    refute_match(%r{/join/}, text)
    assert_match(/Invited, and not in yet/, text)
    send_form("/people/#{lark.id}/lent", "jobs" => [office.id.to_s, "999999", "x"])
    assert_equal [office.id], workroom.people.lent(lark.id)
    send_form("/people", "name" => "x" * 41)
    assert_equal 422, last_response.status
    send_form("/people", "name" => "Anybody", "role" => "king")
    assert_equal 422, last_response.status
    send_form("/people/#{lark.id}/remove")
    refute_includes workroom.people.names, "Neap Tolley"
  end

  def setup
    super
    @lark, @nell = workroom.people.add("Lark Sedge"), workroom.customers.add(name: "Nell Quillwort")
    workroom.people.lend(@lark, [office.id])
  end

  private

  def who(role, books) =
    SignedIn.owner(workroom).with(role: role, books: books, person_id: @lark, name: "Lark Sedge")

  def walked(route)
    assert_turned_away(route, nil)
    assert_nothing_leaks(route)
    asked = %w[owner maker fitter apprentice].product([false, true])
    let_in, not_let_in = asked.partition { |role, books| may?(route, role, books) }
    not_let_in.each { |role, books| assert_turned_away(route, who(role, books)) }
    # What takes long is asked for once.
    let_in = let_in.last(1) if route.path.match?(/\.(pdf|svg|tar)\z/)
    let_in.each { |role, books| assert_let_in(route, role, books) unless route.path.end_with?("/remove") }
  end

  def may?(route, role, books)
    named = "#{route.verb} #{route.path}"
    found = MAY.keys.select { |one| begins?(route.path, one) || begins?(named, one) }
    best = found.max_by { |one| [one.delete_prefix("#{route.verb} ").size, one.size] } or flunk named
    allowed = MAY.fetch(best)
    role == "owner" || allowed.include?(role) || (allowed.include?(:books) && role == "maker" && books)
  end

  # "/errands/" is what stands below it; "/" alone is itself.
  def begins?(named, one) = (one == "/") ? named == "/" : named.start_with?(one)

  def assert_let_in(route, role, books)
    env SignedIn::KEY, who(role, books)
    ask(route)
    refute_includes [401, 403], last_response.status, "#{role} #{books}"
    refute_includes 500..599, last_response.status, "#{role} #{books}"
  end

  # @param somebody [Object, nil] nobody at all
  def assert_turned_away(route, somebody)
    env SignedIn::KEY, somebody
    ask(route)
    unless somebody
      asked = (route.verb == :get) ? [303, "/me/sign-in"] : [401, ""]
      return assert_equal asked, [last_response.status, last_response["Location"].to_s.sub(%r{\Ahttp://[^/]+}, "")]
    end

    assert_equal 403, last_response.status, "#{somebody.role} #{somebody.books}"
    assert_match(/isn't yours to see/, text)
    refute_match(/Ticket office|Quay window|Reedbed/, text)
  end

  # The owner of a workroom next door, with the numbers of ours.
  def assert_nothing_leaks(route)
    @next_door ||= other_workroom
    env SignedIn::KEY, SignedIn.owner(@next_door)
    before = counted
    ask(route)
    assert_includes [200, 303, 404, 422], last_response.status
    assert_equal 404, last_response.status if route.path.include?(":id") && route.path.start_with?("/jobs")
    refute_match(/Ticket office|Quay window|Reedbed|Lark Sedge|Quillwort/, text)
    assert_equal before, counted
  end

  def counted = %i[jobs windows treatments cloths pieces people papers customers slips].map do |table|
    workroom.rows(table).count
  end

  def ask(route)
    path = filled(route.path)
    return get(path) if route.verb == :get

    post(path, {"authenticity_token" => token})
  end

  # A session of its own has one, whoever asks.
  def token
    @token ||= begin
      env SignedIn::KEY, nil
      get "/me/sign-in"
      last_response.body[/name="authenticity_token" value="([^"]+)"/, 1]
    end
  end

  def filled(path)
    made = office
    path.gsub(":id", made.id.to_s).gsub(":treatment", made.treatments.first.id.to_s)
      .gsub(":cloth", made.treatments.first.spec["face"]).gsub(":piece", workroom.shelf.all.first.id.to_s)
      .gsub(":person", @lark.to_s).gsub(":customer", @nell.to_s)
      .gsub(/:(station|filled)\b/, "measure").gsub(/:\w+/, "1")
  end
end
