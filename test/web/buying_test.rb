# frozen_string_literal: true

require "json"
require "json_schemer"
require "minitest/mock"
require "rack/mock"
require "web_test_helper"
require File.expand_path("../../support/supplier_stand_in", __dir__)

# Cloth is bought of a supplier: asked after, ordered, held against what comes, and taken in. The supplier is the
# stand-in, asked as the queue would.
class BuyingTest < WebTest
  A, B, W = EarnestFold::Adapters, EarnestFold::Background, EarnestFold::Work

  def setup
    super
    workroom.rows(:supply).delete
    @was, ENV["SUPPLIER_URL"] = ENV["SUPPLIER_URL"], "http://127.0.0.1:4200/?key=secret"
    @supplier, @asked = SupplierStandIn.new(habits: [:as_asked]), []
    S.db[:outside].delete
    @job = job("Ticket office")
    @cloth = Integer(@job.treatments.first.spec["face"], 10)
    @place = "/jobs/#{@job.id}/buying/#{@cloth}"
    @shelf = on_shelf
  end

  def teardown
    ENV["SUPPLIER_URL"] = @was
    super
  end

  def test_from_what_is_to_be_bought_to_the_shelf
    get @place
    assert_match(/To buy 9.4 m/, text)
    known
    get @place
    assert_match(/A01 .*9.4 m .*21.50.*202.10/, text)
    order("A01")
    assert_match(/Going to the supplier|The supplier has it/, text)
    goes
    assert_equal ["SM-101", "A01", workroom.house.read.name], sent.values_at("code", "batch", "for")
    4.times { stands }
    get @place
    assert_match(/All of it is sent/, text)
    assert_match(/On its way, or to be taken in 9.4 m/, text)
    assert_match(/From what came and the shelf can be cut/, text)
    take_in
    get @place
    assert_match(/nothing: the shelf has enough/, text)
    piece = workroom.shelf.all(cloths: [@cloth]).last
    assert_equal %w[A01 9400], [piece.piece.batch, piece.piece.length.mm.to_i.to_s]
    take_in
    assert_equal @shelf + 1, on_shelf
  end

  # [habit, what is said of it, whether the shelf has enough once all is taken in]
  HABITS = {
    short: [/1.7 m short: 7.7 m came of 9.4 m/, false],
    promised_short: [/Confirmed shorter: 7.7 m instead of 9.4 m/, false],
    other_batch: [/Confirmed in another batch: C9 instead of A01.*Another batch than was ordered: C9/, true],
    narrower: [/Narrower: 136.0 cm instead of 140.0 cm/, false],
    flawed: [/1 flaw. It is cut round/, nil],
    two_batches: [/It came in several batches: A01, D4/, false],
    dearer: [/Confirmed dearer: 25.50 by the metre instead of 21.50/, true],
    refused: [/won't deliver it. No longer woven/, false]
  }.freeze

  HABITS.each do |habit, (says, enough)|
    define_method(:"test_an_order_that_comes_#{habit}_is_held_against_what_was_asked") do
      @supplier = SupplierStandIn.new(habits: [habit])
      known
      order("A01")
      goes
      5.times { stands }
      get @place
      assert_match says, text
      deliveries.each { take_in }
      get @place
      assert_equal enough, text.include?("the shelf has enough"), text unless enough.nil?
    end
  end

  def test_what_came_says_which_windows_can_be_cut_before_it_is_taken_in
    @supplier = SupplierStandIn.new(habits: [:short])
    known
    order("A01")
    goes
    5.times { stands }
    get @place
    assert_match(/Not enough of what came and the shelf for Quay window/, text)
    send_form("#{@place}/orders/#{orders.first.id}/send-back/#{deliveries.first.id}")
    get @place
    assert_match(/sent back/, text)
    assert_equal @shelf, on_shelf
  end

  # Two orders that each give half give a whole window together, in one batch.
  def test_what_came_of_several_orders_is_looked_at_together
    known
    order("A01")
    goes
    2.times do |index|
      workroom.orders.place(@job.id, @cloth, orders.first.wanted) if index == 1
      workroom.orders.sent(orders.first.id)
      piece = {"piece" => index.to_s, "batch" => "A01", "length" => "4700 mm"}
      answered(orders.first, "order" => orders.first.number, "state" => "delivered",
        "deliveries" => [{"note" => "N", "pieces" => [piece]}])
      get @place
      assert_match(index.zero? ? /Not enough of what came/ : /can be cut: Quay window/, text)
      assert_match(/4.7 m short.*It was ordered for Quay window/, text)
    end
  end

  def test_a_credit_is_asked_for_once_and_only_where_something_is_amiss
    @supplier = SupplierStandIn.new(habits: [:flawed])
    known
    order("A01")
    goes
    3.times { stands }
    credit = -> { send_form("#{@place}/orders/#{orders.first.id}/credit", "piece" => "SM-101/1").status }
    assert_equal 404, send_form("#{@place}/orders/#{orders.first.id}/credit", "piece" => "nothing").status
    assert_equal [303, 303], [credit.call, credit.call]
    assert_equal 1, workroom.rows(:credits).count
    through { B::AskingCredit.new({}).run(workroom.id, workroom.rows(:credits).get(:id)) }
    get @place
    assert_match(/Credit agreed: 20.21/, text)
  end

  def test_each_talk_is_a_line_of_the_log_without_what_was_said
    B::TalkLog.into(log = StringIO.new)
    known
    order("A01")
    goes
    @supplier.odd = :busy
    stands
    assert_match(/Z outside supplier: catalogue \d+: answered\n/, log.string)
    assert_match(/Z outside supplier: Ordering \d+\/\d+: sent\n/, log.string)
    assert_match(/Z outside supplier: standing \d+ \d+: unreached\n/, log.string)
    ["secret", orders.first.number, "A01"].each { |said| refute_includes log.string, said }
  ensure
    B::TalkLog.into(File::NULL)
  end

  # [what the supplier answers, what it is asked, what stands at Outside]
  ODD = {
    broken: /catalogue this is no JSON document/,
    minus: /catalogue must be a price per metre/,
    huge: /answered more than/,
    refusing: /answered 403/
  }.freeze

  ODD.each do |odd, says|
    define_method(:"test_a_catalogue_that_is_#{odd}_is_kept_to_be_looked_at") do
      @supplier.odd = odd
      asks("catalogue")
      assert_nil workroom.supply.catalogue
      get "/outside"
      assert_match says, text
      send_form("/outside/wrong/seen")
      get "/outside"
      refute_match(/Could not be right/, text)
    end
  end

  def test_busy_is_nobodys_fault_and_is_tried_again
    known
    order("A01")
    @supplier.odd = :busy
    goes
    assert_equal ["waiting", 1], orders.first.then { |one| [one.state, one.tries] }
    assert_equal 1, S::Outside.of("supplier").failures
    @supplier.odd = nil
    goes
    assert_equal "sent", orders.first.state
    goes
    assert_equal 1, @supplier.orders.size
  end

  def test_what_is_said_of_another_order_or_for_another_house_is_never_taken
    known
    order("A01")
    goes
    3.times { stands }
    one = orders.first
    strange = {
      "order" => "EF-other", "state" => "delivered", "deliveries" => []
    }
    assert_no_difference(one) { answered(one, strange) }
    assert_no_difference(one) do
      answered(one, one.told.merge("deliveries" => [{"note" => "N", "for" => "The house next door", "pieces" => []}]))
    end
    assert_no_difference(one) do
      answered(one, one.told.merge("deliveries" => [{"note" => "N", "pieces" => [
        {"piece" => "x", "batch" => "b", "length" => "1 m", "flaws" => [{"from" => "2 m", "to" => "3 m"}]}
      ]}]))
    end
    get "/outside"
    assert_match(/another order.*another workroom|another workroom.*another order/m, text)
  end

  def test_a_batch_nobody_ordered_is_told_and_not_taken_in_by_itself
    @supplier = SupplierStandIn.new(habits: [:other_batch])
    known
    order("A01")
    goes
    5.times { stands }
    assert_equal @shelf, on_shelf
    get @place
    assert_match(/Another batch than was ordered/, text)
  end

  def test_what_is_another_by_now_is_not_ordered
    known
    assert_equal 409, send_form("#{@place}/order", "way" => "A01|1 mm").status
    assert_equal 409, send_form("#{@place}/order").status
    assert_empty orders
  end

  def test_with_no_supplier_and_with_nothing_told
    ENV["SUPPLIER_URL"] = ""
    get @place
    assert_equal 200, last_response.status
    assert_match(/no supplier yet/, text)
    assert_equal 422, send_form("#{@place}/code", "code" => "SM-101").status
    assert_equal 409, send_form("#{@place}/order", "way" => "x").status
  end

  # Suppliers round: 54 inches are 137 cm, and a price has four decimals.
  def test_a_rounded_figure_is_no_difference
    landing = job("Upper landing")
    cloth = Integer(landing.treatments.first.spec["face"], 10)
    @job, @cloth, @place = landing, cloth, "/jobs/#{landing.id}/buying/#{cloth}"
    row = ["SM-103", "Towpath ticking", 1370r, 317r, "straight", "28.4339", "25.00"]
    @supplier = SupplierStandIn.new(habits: [:as_asked], cloths: [row])
    workroom.supply.name_code(cloth, "SM-103")
    asks("catalogue")
    asks("stock", "SM-103")
    get @place
    refute_match(/The supplier says/, text)
    order("A03")
    goes
    4.times { stands }
    get @place
    refute_match(/dearer|Narrower|repeats after/i, text)
    assert_match(/From what came and the shelf can be cut/, text)
    take_in
    assert_nil workroom.shelf.all(cloths: [cloth]).last.piece.width
  end

  def test_a_plain_cloth_may_be_told_to_repeat_after_nothing
    known
    order("A01")
    goes
    piece = {"piece" => "x", "batch" => "A01", "length" => 9400, "vertical_repeat" => 0}
    answered(orders.first, "order" => orders.first.number, "state" => "delivered",
      "deliveries" => [{"note" => "N", "pieces" => [piece]}])
    take_in
    assert_equal @shelf + 1, on_shelf
    get @place
    assert_match(/the shelf has enough/, text)
  end

  def test_an_order_that_is_not_taken_is_told_and_can_go_once_more
    known
    order("A01")
    @supplier.odd = :refusing
    goes
    assert_equal %w[failed refused], orders.first.then { |one| [one.state, one.why] }
    get "/today"
    assert_match(/The order of cloth for Ticket office did not go/, text)
    @supplier.odd = nil
    send_form("#{@place}/orders/#{orders.first.id}/again")
    goes
    assert_equal "sent", orders.first.state
  end

  def test_a_refused_order_is_told_on_today_until_it_is_put_away
    @supplier = SupplierStandIn.new(habits: [:refused])
    known
    order("A01")
    goes
    assert_equal 404, send_form("#{@place}/orders/#{orders.first.id}/forget").status
    2.times { stands }
    get "/today"
    assert_match(/The order of cloth for Ticket office was refused/, text)
    send_form("#{@place}/orders/#{orders.first.id}/forget")
    assert_empty orders
    get "/today"
    refute_match(/From outside/, text)
  end

  # Kept by an earlier version, or brought back from an old copy.
  def test_what_cannot_be_read_any_more_harms_itself_alone
    known
    order("A01")
    workroom.rows(:orders).update(told: Sequel.pg_jsonb({"state" => "gone"}))
    workroom.rows(:deliveries).insert(workroom_id: workroom.id, order_id: orders.first.id, note: "N",
      told: Sequel.pg_jsonb({}))
    workroom.supply.keep("SM-101", {"pieces" => 3})
    workroom.supply.keep(nil, {"cloths" => [{"code" => 1}]})
    causing_faults do
      get @place
      assert_equal 200, last_response.status
      assert_match(/Ordered: 9.4 m of batch A01/, text)
    end
    assert_equal 200, get("/today").status
    assert_equal 200, get("/outside").status
  end

  def test_another_jobs_order_is_not_this_ones
    known
    order("A01")
    other = "/jobs/#{job("Upper landing").id}/buying/#{@cloth}"
    %w[ask again take-in/1 send-back/1 credit].each do |act|
      assert_equal 404, send_form("#{other}/orders/#{orders.first.id}/#{act}").status, act
    end
  end

  def test_a_patterned_cloth_is_bought_with_a_repeat_more_of_each_length
    landing = job("Upper landing")
    cloth = Integer(landing.treatments.first.spec["face"], 10)
    workroom.supply.name_code(cloth, "SM-103")
    asks("catalogue")
    asks("stock", "SM-103")
    get "/jobs/#{landing.id}/buying/#{cloth}"
    assert_match(%r{A03 11 1/2 yd}, text)
    assert_match(/a repeat more is bought/, text)
  end

  def test_what_is_asked_and_said_keeps_to_the_published_schema
    says = EarnestFold::Documents::SupplierFormat
    published = File.read(File.join(EarnestFold.root, "schema/supplier.v1.json"))
    assert_equal JSON.parse(published), JSON.parse(JSON.generate(says.schema))
    schema = JSONSchemer.schema(says.schema)
    known
    order("A01")
    goes
    3.times { stands }
    asked = {"catalogue" => "catalogue", "stock" => "stock/SM-101", "order" => "orders/#{orders.first.number}"}
    asked.each do |name, path|
      said = JSON.parse(Rack::MockRequest.new(@supplier).get("/#{path}").body)
      assert schema.ref("#/$defs/#{name}").valid?(said), name
    end
    assert schema.ref("#/$defs/asked_order").valid?(sent), sent.inspect
  end

  private

  def on_shelf = workroom.shelf.all(cloths: [@cloth]).size

  def orders = workroom.orders.of(@job.id, @cloth)

  def deliveries = orders.flat_map { |one| workroom.orders.deliveries([one.id]).fetch(one.id, []) }

  def sent = @supplier.orders.values.last[:asked]

  # The cloth stands in the catalogue, and its pieces are told.
  def known
    asks("catalogue")
    send_form("#{@place}/code", "code" => "SM-101")
    asks("stock", "SM-101")
  end

  def order(batch)
    get @place
    way = last_response.body[/value="(#{batch}\|[^"]+)"/, 1]
    send_form("#{@place}/order", "way" => CGI.unescapeHTML(way))
    assert_equal 303, last_response.status
    get @place
  end

  def goes = through { B::Ordering.new({}).run(workroom.id, orders.first.id) }

  def asks(what, key = "") = through { B::AskingSupplier.new({}).run(workroom.id, what, key) }

  def stands = asks("standing", orders.first.id)

  def take_in
    deliveries.each { |one| send_form("#{@place}/orders/#{one.order_id}/take-in/#{one.id}") }
  end

  # As it would go over the line, without one.
  def through(&block)
    rack = Rack::MockRequest.new(@supplier)
    supplier = A::Supplier.new(ENV.fetch("SUPPLIER_URL"))
    supplier.define_singleton_method(:talking) do |request|
      heads = {:input => request.body.to_s, "HTTP_AUTHORIZATION" => request["Authorization"]}
      answer = rack.request(request.method, request.path, heads)
      body = answer.body
      made = Net::HTTPResponse::CODE_TO_OBJ.fetch(answer.status.to_s).new("1.1", answer.status.to_s, "")
      made.define_singleton_method(:read_body) { |&taken| taken.call(body) }
      taken(made)
    end
    A::Supplier.stub(:configured, supplier, &block)
  end

  def answered(order, said)
    through do
      asking = B::AskingSupplier.new({})
      asking.instance_variable_set(:@room, workroom)
      asking.send(:told, order, JSON.generate(said))
    end
  end

  def assert_no_difference(order)
    was = [workroom.orders.find(order.id).told, deliveries]
    yield
    assert_equal was, [workroom.orders.find(order.id).told, deliveries]
  end
end
