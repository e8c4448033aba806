# frozen_string_literal: true

# A stand-in for a distance meter: a page with a button, at which one says how long it is in truth. It posts what it
# reads, with the habits of real ones. bin/start keeps one beside the demo house; alone: METER_KEY=…
# bin/stand-in meter URL.
#
# What it reads is off by some 1.5 mm; every seventh time it reads off a curtain rail, 45 mm short; every ninth time the
# hand presses twice.
require "cgi/escape"
require "json"
require "net/http"
require "rack"
require "securerandom"
require "uri"
require_relative "stand_in"

# What it does when its button is pressed.
class MeterStandIn
  NOISE, RAIL = 1.5, 45
  OFF_A_RAIL, TWICE = 7, 9
  PAGE = <<~HTML
    <!doctype html><html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width">
    <title>A distance meter's stand-in</title>
    <h1>A distance meter's stand-in</h1>
    <p>%<said>s</p>
    <form method="post"><label>How long it is in truth, in mm
      <input name="truth" inputmode="numeric" value="%<truth>s" autofocus></label>
      <button>Measure</button></form></html>
  HTML

  # @param to [String] where it sends
  # @param key [String] its own
  # @param random [Random] seeded, so that a test knows what it reads
  def initialize(to, key, random: Random.new(1))
    @to, @key, @random, @presses = URI(to), key, random, 0
  end

  # Presses its button in front of something so long.
  # @param truth [Numeric] mm
  # @return [Array<String>] what it was answered, one for each time it sent
  def press(truth)
    @presses += 1
    read = [truth + noise - ((@presses % OFF_A_RAIL).zero? ? RAIL : 0), 1].max.round
    Array.new((@presses % TWICE).zero? ? 2 : 1) { send_off("press" => SecureRandom.hex(6), "length" => "#{read} mm") }
  end

  # The same again, as when an answer was lost.
  def send_off(report)
    Net::HTTP.start(@to.host, @to.port, use_ssl: @to.scheme == "https", open_timeout: 5, read_timeout: 10) do |http|
      heads = {"Authorization" => "Bearer #{@key}", "Content-Type" => "application/json"}
      http.post(@to.path, JSON.generate(report), heads).then { |answer| "#{report["length"]}: #{answer.code}" }
    end
  rescue SystemCallError, IOError, Timeout::Error => away
    "#{report["length"]}: not heard (#{away.class})"
  end

  # The page with its button.
  def call(env)
    request = Rack::Request.new(env)
    truth = request.params["truth"].to_s[/\A\d{1,6}\z/]
    said = (request.post? && truth) ? press(Integer(truth, 10)).join(", ") : ""
    page = format(PAGE, said: CGI.escapeHTML(said), truth: truth)
    [200, {"content-type" => "text/html; charset=utf-8"}, [page]]
  end

  private

  # Twelve throws of a die are as good as a bell.
  def noise = (Array.new(12) { @random.rand }.sum - 6) * NOISE
end

if $PROGRAM_NAME == __FILE__
  to, port, leashed = ARGV
  meter = MeterStandIn.new(to, ENV.fetch("METER_KEY"), random: Random.new)
  at = Integer(port || 4190, 10)
  StandIn.serve(meter, at, leashed, "The distance meter's stand-in: http://127.0.0.1:#{at}/ sends to #{to}")
end
