# frozen_string_literal: true

require "web_test_helper"
require "json"
require "nokogiri"
require "pdf-reader"
require "locale/made_up"

# Walks the pages, papers and files of a few jobs in which every name is in letters of another script, in a process that
# speaks the made-up locale, and prints what is still in Latin letters.
class Walk < WebTest
  DOCUMENTS = %w[02-patterned-interlined-bay 05-inch-one-way 09-pleater-hooks-tabs-clips 10-cutting-from-rolls
    13-alterations].freeze
  PLACES = %w[/today /reckon /reckon/beside /jobs /cloths /cloths/new /customers /outside /shelf /shelf/new /diary
    /diary.ics /books /errands /logbook /logbook.csv /house-rules /house-rules/schools /house-rules/books
    /find?words=none /keys /people /you /measure-sheet /jobs/archive /tapes /tapes/new /shelf.csv /jobs/999999].freeze
  # What a person names, which is never said in another language.
  NAMED = %w[title name room window notes id batch].freeze
  # So many addresses are opened of each shape.
  EACH = 3
  SPOKEN = /[A-Za-z]{2,}/
  # The product, file formats, lengths as somebody typed them, and the columns of a list that programs read.
  ALLOWED = %r{
    Earnest\ Fold|earnest-fold(?:-[\dTZ-]+\.copy)?|CSV|JSON|PDF|SVG|Europe/\w+|\.(?:fold|csv|json|jpg)|
    [\d.,/]+\ (?:cm|mm|in)\b|\Ajob,work,.*
  }x

  def setup
    super
    [:papers, :jobs, :customers, :cloths, :tapes, :people].each { |table| workroom.rows(table).delete }
    env SignedIn::KEY, SignedIn.owner(workroom).with(name: MadeUp.spelt("Ida Marram"))
    house = workroom.house.read
    house.sets.each do |set|
      workroom.house.update_set(set.id, name: MadeUp.spelt(set.name), spec: set.spec, version: set.version)
    end
    workroom.house.update(version: workroom.house.read.version, name: MadeUp.spelt("Saltmarsh Lane"))
    DOCUMENTS.each { |name| bring_in(JSON.parse(File.read(root("test/golden/#{name}.fold.json")))) }
    customers(workroom.jobs.list.map(&:id))
  end

  def test_walk
    waiting, seen, shapes = PLACES + [@for], {}, Hash.new(0)
    while (path = waiting.shift)
      next if seen[path] || (shapes[shape(path)] += 1) > EACH

      seen[path] = true
      get path
      waiting.concat(links) if html?
      told(path)
    end
    puts "WALKED #{seen.size}"
  end

  private

  def bring_in(document)
    get "/jobs"
    token = last_response.body[/name="authenticity_token" value="([^"]+)"/, 1]
    file = Rack::Test::UploadedFile.new(StringIO.new(JSON.generate(spelt(document))), "application/json",
      original_filename: "job.fold.json")
    post "/jobs/import", "file" => file, "authenticity_token" => token
    raise text unless last_response.status == 303
  end

  # Two who may be the same, and a link that shows one their quote.
  def customers(jobs)
    once, twice = Array.new(2) { workroom.customers.add(name: MadeUp.spelt("Wenna Tern"), phone: "01555 0177") }
    house = workroom.customers.add_house(once, name: MadeUp.spelt("Sail loft"))
    jobs.each { |job| workroom.jobs.set_customer(job, once, house) }
    workroom.customers.consent(twice, "news", true, Date.new(2026, 3, 1))
    account = EarnestFold::Work::Account.new(EarnestFold::Work::Workroom.new(workroom).job(jobs.first))
    content = EarnestFold::Documents::BillContent.of(account, MadeUp.spelt("Wenna Tern"))
    quote = workroom.as(MadeUp.spelt("Ida Marram")).bills.write(jobs.first, "quote", content)
    workroom.letters.draft(jobs.first, sort: "quote", house: "", paper: quote.id)
    @for = "/for/#{workroom.customer_links.make(paper: quote.id)}"
  end

  # What names something else is changed with it.
  def spelt(value, names = named(value).uniq)
    case value
    when Hash then value.to_h { |key, inner| [key, spelt(inner, names)] }
    when Array then value.map { |inner| spelt(inner, names) }
    else (value.is_a?(String) && names.include?(value)) ? MadeUp.spelt(value) : value
    end
  end

  def named(value)
    case value
    when Hash then value.flat_map { |key, inner| (NAMED.include?(key) && inner.is_a?(String)) ? [inner] : named(inner) }
    when Array then value.flat_map { |inner| named(inner) }
    else []
    end
  end

  # @return [String] an address without its numbers and what is asked with it
  def shape(path) = path.sub(/\?.*/, "").gsub(/\d+/, "0")

  def html? = last_response.content_type.to_s.include?("html")

  def page = Nokogiri::HTML5(last_response.body)

  def links = page.css("a[href^='/']").map { |link| link["href"].split("#").first }.uniq

  def told(path)
    spoken.each do |text|
      left = text.gsub(ALLOWED, " ")
      puts "LATIN #{path}: #{text.strip[0, 120]}" if left.match?(SPOKEN)
    end
  end

  # @return [Array<String>] everything that somebody reads or hears
  def spoken
    case last_response.content_type.to_s
    when /html/ then of_page(page)
    when /pdf/ then PDF::Reader.new(StringIO.new(last_response.body)).pages.flat_map { |one| one.text.lines }
    when /csv/ then whole.lines
    when /calendar/ then whole.scan(/^(?:SUMMARY|X-WR-CALNAME):(.*)$/).flatten
    when /svg/ then [Nokogiri::XML(last_response.body).text]
    else []
    end
  end

  def whole = last_response.body.dup.force_encoding(Encoding::UTF_8)

  HEARD = %w[aria-label title alt placeholder].freeze

  def of_page(page)
    page.css("script, style").remove
    heard = page.css("*").flat_map { |one| one.attributes.values }.select do |one|
      HEARD.include?(one.name) || (one.name.start_with?("data-") && one.value.include?(" "))
    end
    page.xpath("//text()").map(&:text) + heard.map(&:value)
  end
end
