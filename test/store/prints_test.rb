# frozen_string_literal: true

require "store_test_helper"
require "minitest/mock"
require "tmpdir"
require_relative "../../support/free_port"
require File.expand_path("../../support/printer_stand_in", __dir__)

# Labels go by the queue to the label printer: here its stand-in, which is out of paper now and then.
class PrintsTest < StoreTest
  A, B = EarnestFold::Adapters, EarnestFold::Background

  def setup
    super
    workroom.rows(:prints).delete
    @folder = Dir.mktmpdir("printed")
  end

  def teardown
    @stand_in&.stop
    FileUtils.remove_entry(@folder)
    super
  end

  def test_labels_are_printed_and_their_file_is_kept_no_longer
    printer(out: 1000)
    id = asked("%PDF labels\x00".b * 20_000)
    work(id)
    assert_equal "sent", workroom.prints.list.first.state
    assert_nil workroom.prints.file(id)
    assert_equal ["%PDF labels\x00".b * 20_000], Dir[File.join(@folder, "*")].map { |path| File.binread(path) }
    2.times { work(id) }
    assert_equal 1, Dir[File.join(@folder, "*")].size
  end

  def test_out_of_paper_it_is_printed_later
    printer(out: 2)
    first, second = asked("%PDF one"), asked("%PDF two")
    [first, second].each { |id| work(id) }
    assert_equal %w[waiting sent], workroom.prints.list.map(&:state)
    assert_equal 1, S::Outside.of("printer").failures
    work(second)
    assert_equal %w[sent sent], workroom.prints.list.map(&:state)
    assert_equal 0, S::Outside.of("printer").failures
  end

  def test_without_one_it_says_so_and_is_printed_once_there_is_one
    id = asked("%PDF one")
    A::LabelPrinter.stub(:configured, nil) { B::Printing.new({}).run(workroom.id, id) }
    assert_equal %w[failed none], workroom.prints.list.first.then { |one| [one.state, one.why] }
    printer(out: 1000)
    Que.stub(:enqueue, nil) { workroom.prints.send_off(id) }
    work(id)
    assert_equal "sent", workroom.prints.list.first.state
  end

  def test_what_cannot_be_an_address_of_a_printer_is_said
    ["http://x", "tcp://", "nothing", "tcp://["].each do |address|
      assert_raises(ArgumentError) { A::LabelPrinter.new(address) }
    end
  end

  private

  def printer(out:)
    port = FreePort.find
    @stand_in = PrinterStandIn.new(@folder, port, out: out).start
    @printer = A::LabelPrinter.new("tcp://127.0.0.1:#{port}")
  end

  def asked(file) = Que.stub(:enqueue, nil) { workroom.prints.ask("Labels", file) }

  def work(id)
    Que.stub(:enqueue, nil) { A::LabelPrinter.stub(:configured, @printer) { B::Printing.new({}).run(workroom.id, id) } }
  end
end
