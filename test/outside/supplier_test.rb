# frozen_string_literal: true

require "outside/outside_helper"
require "json"
require_relative "../../support/supplier_stand_in"

# A supplier keeps to the published form.
class SupplierTest < OutsideTest
  Format = EarnestFold::Documents::SupplierFormat

  def test_the_catalogue_says_what_can_be_reckoned_with
    supplier do |one|
      cloths = EarnestFold::Work::SupplierSays.read(:catalogue, Format.read(:catalogue, one.catalogue))[:cloths]
      refute_empty cloths
      assert_equal cloths.size, cloths.map { |cloth| cloth[:code] }.uniq.size
    end
  end

  def test_every_cloths_pieces_are_of_that_cloth_each_by_a_name_of_its_own
    supplier do |one|
      codes(one).first(20).each do |code|
        stock = Format.read(:stock, one.stock(code))
        assert_equal code, stock["code"]
        names = stock["pieces"].map { |piece| piece["piece"] }
        assert_equal names.size, names.uniq.size
      end
    end
  end

  def test_what_there_is_not_is_refused
    supplier do |one|
      assert_raises(A::Supplier::Refused) { one.stock("there is none such") }
      assert_raises(A::Supplier::Refused) { one.standing("nobody ordered it") }
    end
  end

  def test_of_one_number_there_is_one_order_and_it_says_so
    supplier do |one|
      really
      number = "EF-TEST-#{Process.pid}"
      asked = {"order" => number, "for" => "Saltmarsh Lane", "code" => codes(one).first, "batch" => "",
               "lengths" => ["1000 mm"], "reservation" => ""}
      2.times { assert_equal number, Format.read(:order, one.order(Format.write(asked)))["order"] }
      told = Format.read(:order, one.standing(number))
      assert_equal number, told["order"]
      assert_operator told.dig("confirmed", "lengths").to_a.size, :<=, 1
    end
  end

  # What the adapter makes of one that misbehaves, over the line.
  MISBEHAVES = {busy: A::Supplier::Unreached, refusing: A::Supplier::Refused, huge: A::Supplier::Refused}.freeze

  MISBEHAVES.each do |odd, error|
    define_method(:"test_one_that_is_#{odd}_is_#{error.name.split("::").last.downcase}") do
      stand_in = SupplierStandIn.new
      stand_in.odd = odd
      served(stand_in) { |url| assert_raises(error) { A::Supplier.new(url).catalogue } }
    end
  end

  def test_nobody_there_is_unreached
    assert_raises(A::Supplier::Unreached) { A::Supplier.new("http://127.0.0.1:#{FreePort.find}/").catalogue }
  end

  def test_a_silent_one_is_waited_for_only_so_long
    server = TCPServer.new("127.0.0.1", 0)
    one = A::Supplier.new("http://127.0.0.1:#{server.addr[1]}/")
    with_constants(A::Supplier, READS: 0.2) { assert_raises(A::Supplier::Unreached) { one.catalogue } }
  ensure
    server&.close
  end

  # One that hangs up, and one that trickles: all of it together has its time too.
  def test_one_that_hangs_up_or_trickles_is_unreached
    {"" => 20, "HTTP/1.1 200 OK\r\nContent-Length: 99999\r\n\r\n" => 0.3}.each do |first, takes|
      server = TCPServer.new("127.0.0.1", 0)
      talking = Thread.new { trickle(server.accept, first) }
      one = A::Supplier.new("http://127.0.0.1:#{server.addr[1]}/")
      with_constants(A::Supplier, TAKES: takes) { assert_raises(A::Supplier::Unreached) { one.catalogue } }
    ensure
      talking&.kill
      server&.close
    end
  end

  def test_its_key_goes_in_the_head_and_stands_in_no_address
    seen = nil
    app = lambda do |env|
      seen = env
      [200, {}, ["{}"]]
    end
    served(app) { |url| A::Supplier.new("#{url}cloth/?key=se+cret").stock("a b/c") }
    assert_equal ["Bearer se cret", "/cloth/stock/a+b%2Fc", ""],
      [seen["HTTP_AUTHORIZATION"], seen["REQUEST_PATH"] || seen["PATH_INFO"], seen["QUERY_STRING"]]
    refute_includes A::Supplier.new("https://house.example/?key=secret").place, "secret"
  end

  def test_an_address_that_cannot_be_read_says_so
    ["ftp://x", "http://", "::", "supplier.example", "http://house.example/?key=secret"].each do |url|
      assert_raises(ArgumentError, url) { A::Supplier.new(url) }
    end
  end

  private

  def supplier
    url = real("http", "https")
    return yield(A::Supplier.new(url)) if url

    served(SupplierStandIn.new) { |at| yield A::Supplier.new(at) }
  end

  def codes(one) = Format.read(:catalogue, one.catalogue)["cloths"].map { |cloth| cloth["code"] }

  def trickle(socket, first)
    return socket.close if first.empty?

    socket.write(first)
    loop do
      socket.write("x")
      IO.select(nil, nil, nil, 0.05)
    end
  rescue SystemCallError
    nil
  end
end
