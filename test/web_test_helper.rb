# frozen_string_literal: true

require "store_test_helper"
require "rack/test"

EarnestFold::LOADER.eager_load

# The demo house, as it stands before each of the tests that are held in it.
module Furnished
  @stands = false

  # Once in a process that has no other tests (support/test.rb says which), outside their transactions: what one does to
  # it is undone with it, and the next has it as it stood. Elsewhere each test furnishes it anew.
  def self.stands
    @stands ||= ENV["FURNISHED"] && EarnestFold::Store::DemoHouse.new(EarnestFold::Store.workroom).load
  end
end

# A test of the application through its requests, with the demo house in it.
class WebTest < StoreTest
  include Rack::Test::Methods

  def run
    Furnished.stands
    super
  end

  def app = EarnestFold::Web::App

  def setup
    S::DemoHouse.new(workroom).load unless Furnished.stands
    header "Host", "127.0.0.1"
    env SignedIn::KEY, SignedIn.owner(workroom)
  end

  private

  def job(title) = workroom.jobs.find(workroom.jobs.list.find { |line| line.title == title }.id)

  def office = job("Ticket office")

  def station(job, name) = "/jobs/#{job.id}/treatments/#{job.treatments.first.id}/#{name}"

  # Posts as the page does: with its token and the version it was shown with.
  def send_form(path, headers: {}, **fields)
    get("/jobs")
    token = last_response.body[/name="authenticity_token" value="([^"]+)"/, 1]
    headers.each { |name, value| header(name, value) }
    post(path, fields.merge("authenticity_token" => token))
    headers.each_key { |name| header(name, nil) }
    last_response
  end

  # Fields with what was seen in them, as the page's own form sends them.
  def seeing(address, **fields)
    get address
    saw = fields.to_h do |name, _|
      [name, CGI.unescapeHTML(last_response.body[/name="saw\[#{name}\]" value="([^"]*)"/, 1].to_s)]
    end
    fields.merge("saw" => saw)
  end

  def save(job, name, headers: {}, **fields)
    send_form(
      station(job, name),
      :headers => headers,
      "version" => job.treatments.first.version.to_s,
      "unit" => job.unit,
      **fields
    )
  end

  # The step that stands at a place in the order of work, by its name.
  def step_at(number, job, treatment = job.treatments.first)
    get "/jobs/#{job.id}/treatments/#{treatment.id}/making"
    asked = last_response.body.scan(/bench\?([^"]+)/).flatten.uniq[number - 1]
    Rack::Utils.parse_query(CGI.unescapeHTML(asked))
  end

  def text = last_response.body.gsub(/<[^>]+>/, " ").then { |plain| CGI.unescapeHTML(plain) }.gsub(/\s+/, " ")
end
