# frozen_string_literal: true

require "cgi/escape"
require "json"
require "pdf-reader"

# Brings a job in and opens everything that it links to, each address once.
class EveryPage
  include Rack::Test::Methods

  # What a page may answer beside 200: a step that isn't there yet is no page.
  LEAST = {
    "application/pdf" => 1000,
    "text/csv" => 20,
    "image/svg+xml" => 200,
    "application/json" => 100,
    "text/html" => 500
  }.freeze

  attr_reader :opened, :faults

  def initialize
    @opened, @faults = [], []
  end

  def app = EarnestFold::Web::App

  # @return [String, nil] what the page said where the document was refused
  def bring_in(document)
    header "Host", "127.0.0.1"
    env SignedIn::KEY, SignedIn.owner
    get "/jobs"
    token = last_response.body[/name="authenticity_token" value="([^"]+)"/, 1]
    file = Rack::Test::UploadedFile.new(
      StringIO.new(JSON.generate(document)),
      "application/json",
      original_filename: "job.fold.json"
    )
    post "/jobs/import", "file" => file, "authenticity_token" => token
    unless last_response.status == 303
      return CGI.unescapeHTML(last_response.body[/<main.*/m].to_s.gsub(/<[^>]+>/, " ")).squeeze(" \n")[0, 800]
    end

    open_all(URI(last_response["Location"]).path)
  end

  private

  def open_all(job)
    waiting, seen = [job, "/diary", "/logbook", "/shelf", "/cloths"], {}
    until waiting.empty?
      address = waiting.shift
      next if seen[address] || enough?(address)

      seen[address] = true
      waiting.concat(look(address).select { |link| link.start_with?("#{job}/", "/shelf/", "/cloths/") })
    end
    nil
  end

  # One page shown many ways (a cut of a plan, a part of a curtain) is opened a few times; every step at the bench is
  # a page.
  MOST_ALIKE = 4

  def enough?(address)
    page, asked = address.split("?")
    @alike ||= Hash.new(0)
    asked && !page.end_with?("/bench") && (@alike[page] += 1) > MOST_ALIKE
  end

  # @return [Array<String>] what it links to
  def look(address)
    get address
    opened << address
    answer = last_response
    return faults << "#{address}: #{answer.status} #{why}" && [] unless answer.status == 200

    type = answer.content_type.to_s.split(";").first
    faults << "#{address}: nearly empty (#{answer.body.bytesize} bytes)" if answer.body.bytesize < LEAST.fetch(type, 50)
    if type == "application/pdf" && !PDF::Reader.new(StringIO.new(answer.body)).pages.first.text.match?(/\w{3}/)
      faults << "#{address}: no words on paper"
    end
    return [] unless type == "text/html"

    read(address, answer.body)
  end

  # What is filled into a tag is escaped: whoever fills an attribute in with its quotation marks gets them doubled.
  ODD_ATTRIBUTE = /<[a-z][^<>]*\s[\w-]+=&quot;/

  def read(address, body)
    faults << "#{address}: an attribute in doubled quotation marks" if body.match?(ODD_ATTRIBUTE)
    words = CGI.unescapeHTML(body.gsub(/<(script|style|svg)\b.*?<\/\1>/m, " ").gsub(/<[^>]+>/, " "))
    faults.concat(Telling.faults(words).map { |fault| "#{address}: #{fault}" })
    body.scan(/(?:href|src)="([^"#]+)/).flatten.map { |link| CGI.unescapeHTML(link) }
  end

  def why
    error = last_request.env["sinatra.error"] or return ""
    ours = error.backtrace.grep(%r{lib/earnest_fold}).first(2).map { |line| line[%r{lib/earnest_fold/(.+?):in}, 1] }
    "#{error.class}: #{error.message[0, 160]} at #{ours.join(" < ")}"
  end

  # What no page may say: words that were never found, and figures that nobody can mean.
  module Telling
    WRONG = {
      /translation missing/i => "a word is missing",
      /#<\w|\bnil\b|NaN|Infinity/ => "something inside shows",
      /%\{\w+\}/ => "a place in the words isn't filled",
      /\b1 (widths|hooks|rings|gliders|curtains|cuts|pleats|eyelets|weights|pieces|steps|minutes|metres)\b/ =>
        "one, told as many",
      /\(\)/ => "brackets round nothing",
      /\(s\)/ => "one or many, not said which",
      %r{(?<![\d.,⁄/] )(?<![\d.,])\+ 0(?![\d.,⁄/])} => "nothing added"
    }.freeze

    module_function

    def faults(words)
      WRONG.filter_map do |pattern, fault|
        (at = words.index(pattern)) && "#{fault}: #{words[[at - 50, 0].max, 90].squeeze(" \n").strip.inspect}"
      end
    end
  end
end
