# frozen_string_literal: true

require "web_test_helper"
require "nokogiri"
require "mustermann"

# Whatever their role, nobody is shown a link or a button that turns them away.
class DeadEndsTest < WebTest
  ROUTES = EarnestFold::Web::App::HANDLERS.flat_map(&:routes).map do |route|
    [route, Mustermann.new(route.path, type: :sinatra)]
  end
  STATIONS = EarnestFold::Work::Stations.names
  # So many addresses are opened of each shape.
  EACH = Walks::WHOLE ? 2 : 1

  [["maker", true], ["maker", false], ["fitter", false], ["apprentice", false]].each do |role, books|
    define_method(:"test_#{role}#{"_with_the_books" if books}") do
      lark = workroom.people.add("Lark Sedge")
      answered_quote
      all_done
      workroom.people.lend(lark, workroom.jobs.list.map(&:id))
      @who = SignedIn.owner(workroom).with(role: role, books: books, person_id: lark, name: "Lark Sedge")
      env SignedIn::KEY, @who
      assert_empty walked, "#{role} #{books}"
    end
  end

  private

  # Of somebody's own curtains nothing but the account is left.
  def all_done
    chapel = workroom.jobs.list.find { |line| line.title == "Ferry chapel" }.id
    work = EarnestFold::Work::Workroom.new(workroom).job(chapel).alterations.find(&:reckoning)
    work.steps.flat_map(&:names).each { |name| workroom.bench.say(work.id, *name, "done") }
    workroom.bench.say(work.id, S::Bench::HUNG, "", "done")
    assert_equal "account", EarnestFold::Work::Workroom.new(workroom).job(chapel).work(work.id).following
  end

  def answered_quote
    job = office
    account = EarnestFold::Work::Account.new(EarnestFold::Work::Workroom.new(workroom).job(job.id))
    quote = workroom.bills.write(job.id, "quote", EarnestFold::Documents::BillContent.of(account, "Wenna Tern"))
    workroom.bills.answer(job.id, quote.id, "accepted", Date.today)
  end

  # @return [Array<String>] what turns them away, and where it stands
  def walked
    waiting, seen, shapes, dead = ["/"], {}, Hash.new(0), []
    while (path = waiting.shift)
      next if seen[path] || (shapes[path.sub(/\?.*/, "").gsub(/\d+/, "1")] += 1) > EACH

      seen[path] = true
      get path
      waiting << URI(last_response["Location"]).request_uri if last_response.status == 303
      next unless last_response.status == 200 && last_response.content_type.to_s.start_with?("text/html")

      page = Nokogiri::HTML5(last_response.body)
      dead.concat(ways(page).reject { |way| open?(*way) }.map { |way| "#{shape(path)}: #{shape(way.join(" "))}" })
      waiting.concat(page.css("a[href], [hx-get]").map { |node| node["hx-get"] || node["href"].sub(/#.*/, "") })
    end
    assert_operator seen.size, :>, 10 * EACH
    dead.uniq.sort
  end

  def shape(address) = address.gsub(/\d+/, "1")

  # @return [Array<Array(String, String)>] verb and address of everything that leads on
  def ways(page)
    forms = page.css("form").reject { |form| form.at_css("> fieldset[disabled]") }.flat_map do |form|
      verb = form["method"] || "get"
      [form["action"], *form.css("[formaction]").map { |button| button["formaction"] }].compact.map { |to| [verb, to] }
    end
    links = page.css("a[href], [hx-get]").map { |node| ["get", node["hx-get"] || node["href"]] }
    forms + links + page.css("[hx-post]").map { |node| ["post", node["hx-post"]] }
  end

  def open?(verb, address)
    path = address.sub(/[?#].*/, "")
    named = ROUTES.select { |route, pattern| route.verb.to_s == verb && pattern.match(path) }.map(&:first)
    named = named.select { |route| route.where.empty? || STATIONS.include?(File.basename(path)) }
    named.empty? || named.any? { |route| route.to.admits?(@who, -> { true }) }
  end
end
