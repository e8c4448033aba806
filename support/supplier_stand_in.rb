# frozen_string_literal: true

# A stand-in for a supplier of cloth, in the form of schema/supplier.v1.json, with the habits of real ones.
# bin/start keeps one beside the demo house; alone: bin/stand-in supplier [PORT].
#
# Every order has a habit, one after the other: short, as asked, with flaws, in another batch, narrower, in two batches,
# short in two batches, confirmed short, dearer, refused. How it stands goes on each time that it is asked after: taken,
# confirmed, sent.
require "json"
require "rack"
require_relative "stand_in"

# What it says.
class SupplierStandIn
  HABITS = %i[
    short as_asked flawed other_batch narrower two_batches short_in_two promised_short dearer refused
  ].freeze
  # Code, name, width and repeat in mm, match, price, price from 30 m on.
  CLOTHS = [
    ["SM-101", "Ferry cotton twill", 1400r, 0r, "straight", "21.50", "19.00"],
    ["SM-102", "Reedbed linen union", 1400r, 640r, "half_drop", "34.00", "30.50"],
    ["SM-103", "Towpath ticking", 1371.6r, 317.5r, "straight", "28.40", "25.00"],
    ["SM-104", "Sailcloth", 1500r, 0r, "straight", "19.80", "17.50"],
    ["SM-201", "Ivory cotton sateen lining", 1371.6r, 0r, "straight", "6.80", "5.90"],
    ["SM-202", "Soft bump interlining", 1371.6r, 0r, "straight", "9.60", "8.80"]
  ].freeze
  HEADERS = {"content-type" => "application/json"}.freeze
  # What it answers instead, where it is told to misbehave.
  ODD = {
    broken: [200, "{"], huge: [200, "\"#{"9" * 2_000_000}\""], busy: [503, "{}"], refusing: [403, "{}"],
    minus: [200, JSON.generate("cloths" => [{"code" => "X", "name" => "X", "width" => 1400, "price" => "-1"}])]
  }.freeze

  # @param habits [Array<Symbol>] of the orders, one after the other, round and round
  # @param cloths [Array] as CLOTHS
  def initialize(habits: HABITS, cloths: CLOTHS, random: Random.new(3))
    @habits, @cloths, @random, @orders, @lock = habits, cloths, random, {}, Mutex.new
    @stock = cloths.to_h { |cloth| [cloth.first, pieces(cloth.first)] }
  end

  # @return [Symbol, nil] of ODD, or :silent: how it misbehaves just now
  attr_accessor :odd
  # @return [Hash] what was ordered, by number
  attr_reader :orders

  def call(env)
    sleep if odd == :silent
    return [ODD[odd].first, HEADERS, [ODD[odd].last]] if ODD.key?(odd)

    request = Rack::Request.new(env)
    status, said = @lock.synchronize { answer(request.request_method, request.path_info.split("/").drop(1), request) }
    [status, HEADERS, [JSON.generate(said)]]
  rescue JSON::ParserError
    [400, HEADERS, ["{}"]]
  end

  private

  def answer(verb, (place, key), request)
    asked = (verb == "POST") ? JSON.parse(request.body.read) : {}
    case [verb, place]
    when %w[GET catalogue] then [200, {"cloths" => @cloths.map { |cloth| described(cloth) }}]
    when %w[GET stock] then stock(key)
    when %w[POST reservations] then reserved(asked)
    when %w[POST orders] then [202, standing(taken(asked))]
    when %w[GET orders] then @orders[key] ? [200, standing(@orders[key], step: true)] : [404, {}]
    when %w[POST credits] then credited(asked)
    else [404, {}]
    end
  end

  def described((code, name, width, repeat, match, price, from_thirty))
    {
      "code" => code, "name" => name, "width" => mm(width), "match" => match, "price" => price,
      "breaks" => [{"from" => "30 m", "price" => from_thirty}],
      "care" => "Cool wash, line dry", "flame" => "not treated",
      **(repeat.zero? ? {} : {"vertical_repeat" => mm(repeat)})
    }
  end

  def mm(length) = "#{(length.denominator == 1) ? length.to_i : length.to_f} mm"

  # Two batches: of the first one long roll and a rest, of the second several short ones.
  def pieces(code)
    [["A#{code[-2..]}", 42_000], ["A#{code[-2..]}", 9_500], ["B#{code[-2..]}", 11_000], ["B#{code[-2..]}", 8_200],
      ["B#{code[-2..]}", 6_400]].each_with_index.map do |(batch, length), index|
      {"piece" => "#{code}/#{index + 1}", "batch" => batch, "length" => "#{length - @random.rand(5) * 100} mm"}
    end
  end

  def stock(code) = @stock[code] ? [200, {"code" => code, "pieces" => @stock[code]}] : [404, {}]

  def reserved(asked)
    there = @stock.fetch(asked["code"], []).any? { |piece| piece["batch"] == asked["batch"] }
    there ? [200, {"reservation" => "R-#{asked["order"]}", "batch" => asked["batch"]}] : [404, {}]
  end

  # Of one number there is one order.
  def taken(asked)
    @orders[asked["order"]] ||= {asked: asked, habit: @habits[@orders.size % @habits.size], step: 0}
  end

  def standing(order, step: false)
    order[:step] += 1 if step
    asked, habit = order.values_at(:asked, :habit)
    said = {"order" => asked["order"], "state" => "received", "deliveries" => []}
    return said if order[:step].zero?
    return said.merge("state" => "refused", "why" => "No longer woven.") if habit == :refused

    said["confirmed"] = confirmed(asked, habit)
    return said.merge("state" => "confirmed") if order[:step] == 1

    notes = deliveries(asked, habit)
    # What comes in two goes comes in two.
    last = order[:step] > notes.size
    said.merge("state" => last ? "delivered" : "confirmed", "deliveries" => notes.first(order[:step] - 1))
  end

  def confirmed(asked, habit) = {
    "batch" => (habit == :other_batch) ? "C9" : asked["batch"],
    "lengths" => lengths(asked).map { |length| mm((habit == :promised_short) ? shorter(length) : length) },
    "price" => price(asked["code"], (habit == :dearer) ? 4 : 0),
    "on" => "2027-01-15"
  }

  def price(code, more)
    listed = @cloths.find { |cloth| cloth.first == code }&.at(5) || "30.00"
    whole, hundredths = listed.split(".")
    "#{Integer(whole, 10) + more}.#{hundredths}"
  end

  def lengths(asked) = asked["lengths"].map { |text| Rational(text[/[\d.]+/]) }

  def deliveries(asked, habit)
    came = lengths(asked).each_with_index.map { |length, index| piece(asked, habit, index, length) }
    return [note(asked, 1, came)] unless %i[two_batches short_in_two].include?(habit)

    rest = half(came.first, "+", (habit == :short_in_two) ? 3 : 2).merge("batch" => "D4")
    [note(asked, 1, [half(came.first, "", 2)]), note(asked, 2, [rest, *came.drop(1)])]
  end

  def half(piece, mark, parts)
    length = Rational(piece["length"][/[\d.]+/]) / parts
    piece.merge("piece" => "#{piece["piece"]}#{mark}", "length" => mm(length.floor), "flaws" => [])
  end

  def piece(asked, habit, index, length)
    cloth = @cloths.find { |one| one.first == asked["code"] }
    came = %i[short promised_short].include?(habit) ? shorter(length) : length
    {
      "piece" => "#{asked["code"]}/#{index + 1}", "batch" => batch(asked, habit), "length" => mm(came),
      "width" => mm(cloth[2] - ((habit == :narrower) ? 40 : 0)),
      "flaws" => (habit == :flawed && came > 1300) ? [{"from" => "1200 mm", "to" => "1260 mm"}] : []
    }
  end

  def shorter(length) = (length > 2200) ? length - 1700 : [length, 500r].min

  def batch(asked, habit)
    return "C9" if habit == :other_batch

    asked["batch"].to_s.empty? ? "A#{asked["code"][-2..]}" : asked["batch"]
  end

  def note(asked, number, pieces) =
    {"note" => "D-#{asked["order"]}-#{number}", "for" => asked["for"], "pieces" => pieces}

  def credited(asked)
    order = @orders[asked["order"]] or return [404, {}]
    metres = Rational(asked["length"][/[\d.]+/]) / 1000
    amount = (metres * Rational(price(order[:asked]["code"], 0)) / 10 * 100).round
    [200, {"credit" => "C-#{asked["order"]}-#{asked["piece"]}", "amount" => format("%d.%02d", *amount.divmod(100))}]
  end
end

if $PROGRAM_NAME == __FILE__
  port, leashed = ARGV
  at = Integer(port || 4200, 10)
  StandIn.serve(SupplierStandIn.new, at, leashed, "The supplier's stand-in answers at http://127.0.0.1:#{at}/")
end
