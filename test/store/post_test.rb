# frozen_string_literal: true

require "store_test_helper"
require "minitest/mock"
require "tmpdir"
require_relative "../../support/free_port"
require File.expand_path("../../support/post_stand_in", __dir__)

# Letters go by the queue to whoever takes them: here the stand-in, with all its habits.
class PostTest < StoreTest
  A, B = EarnestFold::Adapters, EarnestFold::Background

  def setup
    super
    @folder = Dir.mktmpdir("outbox")
    @port = FreePort.find
    @stand_in = PostStandIn.new(@folder, @port)
    @stand_in.start
    @job = workroom.jobs.create(title: "Sail loft", unit: "cm")
    @asked = []
  end

  def teardown
    @stand_in.stop(wait_seconds_before_close: 0, gracefully: false)
    FileUtils.remove_entry(@folder)
    super
  end

  def test_a_slip_goes_with_a_link_that_shows_it
    window = workroom.windows(@job).add(room: "Loft", name: "", spec: {"kind" => "shorten_at_hem"})
    slip = workroom.slips.write(window, {"title" => "Pair"}, "%PDF-1.4 slip")
    letter = workroom.letters.draft(@job, sort: "slip", house: "http://house.example", slip: slip,
      to: "wenna@tern.example", subject: "S", body: "here: [link]")
    sent(letter)
    taken = outbox.first
    assert_equal ["slip.pdf"], taken.papers
    key = taken.text[%r{http://house.example/for/([\w-]{43})}, 1]
    assert_equal slip, S::ShownPapers.find(key).slip.id
  end

  def test_a_letter_goes_with_its_paper_and_a_link_that_nobody_could_read_before
    paper = workroom.bills.write(@job, "quote", content)
    letter = drafted("wenna@tern.example", paper: paper.id, body: "Wenna,\n\nhere: [link]\nŻółw")
    sent(letter)
    assert_equal ["sent", 1], workroom.letters.find(letter).then { |one| [one.state, one.tries] }
    taken = outbox.first
    assert_equal ["wenna@tern.example", "About it – é"], [taken.to, taken.subject]
    assert_equal ["quote-#{paper.number}.pdf"], taken.papers
    key = taken.text[%r{http://house.example/for/([\w-]{43})}, 1]
    assert_equal paper.id, S::ShownPapers.find(key).paper.id
    assert_includes taken.text, "Żółw"
    refute_includes workroom.rows(:letters).all.inspect, key
    assert_includes taken.bytes, "From: Saltmarsh"
  end

  def test_what_is_refused_is_told_at_once_and_what_is_busy_goes_later
    refused, busy = drafted("nobody@tern.example"), drafted("busy@tern.example")
    sent(refused)
    assert_equal %w[failed refused], workroom.letters.find(refused).then { |one| [one.state, one.why] }
    sent(busy)
    assert_equal %w[waiting unreached], workroom.letters.find(busy).then { |one| [one.state, one.why] }
    assert_operator @asked.last, :>, 10
    2.times { work(busy) }
    assert_equal ["sent", 3], workroom.letters.find(busy).then { |one| [one.state, one.tries] }
    assert_equal 1, outbox.size
  end

  # The queue stays where it was: what waited there is told here, and goes when somebody says so.
  def test_what_waited_when_the_house_moved_says_so_and_can_be_sent_again
    letter = drafted("wenna@tern.example")
    workroom.letters.send_off(letter)
    rows = S::WholeWorkroom.new(workroom).rows
    %i[papers jobs cloths customers].each { |table| workroom.rows(table).delete }
    S::WholeWorkroom.new(workroom).fill(rows)
    assert_equal %w[failed moved], workroom.letters.find(letter).then { |one| [one.state, one.why] }
    assert_match(/waiting when everything moved/, EarnestFold::Words.say("letters.why.moved"))
    sent(letter)
    assert_equal ["sent", 1], [workroom.letters.find(letter).state, outbox.size]
  end

  def test_one_that_never_answers_is_given_up_after_a_while
    letter = drafted("wenna@tern.example")
    @stand_in.stop(wait_seconds_before_close: 0, gracefully: false)
    sent(letter)
    S::Letters::AGAIN.size.times do
      assert_equal "waiting", workroom.letters.find(letter).state
      S::Outside.switch("post", true)
      work(letter)
    end
    assert_equal %w[failed unreached], workroom.letters.find(letter).then { |one| [one.state, one.why] }
    assert_equal S::Letters::AGAIN, @asked.drop(1)
  end

  def test_silence_ends
    silent = drafted("silent@tern.example")
    with_constants(A::Post, READS: 1) { sent(silent) }
    assert_equal %w[waiting unreached], workroom.letters.find(silent).then { |one| [one.state, one.why] }
  end

  def test_switched_off_or_left_alone_letters_wait_and_nothing_is_asked
    letter = drafted("wenna@tern.example")
    S::Outside.switch("post", false)
    sent(letter)
    assert_equal ["waiting", 0], workroom.letters.find(letter).then { |one| [one.state, one.tries] }
    S::Outside.switch("post", true)
    S::Outside::MOST_FAILURES.times { S::Outside.failed("post", "unreached") }
    assert S::Outside.of("post").resting
    work(letter)
    assert_empty outbox
    S.db[:outside].update(failed_at: Sequel.lit("now() - interval '2 minutes'"))
    work(letter)
    assert_equal "sent", workroom.letters.find(letter).state
    assert_equal 0, S::Outside.of("post").failures
  end

  def test_sent_twice_it_goes_once
    letter = drafted("wenna@tern.example")
    sent(letter)
    3.times { work(letter) }
    workroom.letters.send_off(letter)
    work(letter)
    assert_equal 1, outbox.size
  end

  def test_without_a_post_it_says_so
    letter = drafted("wenna@tern.example")
    workroom.letters.send_off(letter)
    A::Post.stub(:configured, nil) { B::Posting.new({}).run(workroom.id, letter) }
    assert_equal %w[failed none], workroom.letters.find(letter).then { |one| [one.state, one.why] }
  end

  def test_nothing_in_a_line_begins_another
    letter = drafted("wenna@tern.example", subject: "About\r\nBcc: all@tern.example")
    sent(letter)
    refute_match(/^Bcc:/i, outbox.first.bytes)
  end

  def test_whether_somebody_answers_is_asked_from_the_queue
    with_post { B::AskingOutside.new({}).run("post") }
    refute_nil S::Outside.of("post").answered_at
    @stand_in.stop(wait_seconds_before_close: 0, gracefully: false)
    with_post { B::AskingOutside.new({}).run("post") }
    assert_equal 1, S::Outside.of("post").failures
  end

  def test_what_cannot_be_an_address_of_a_post_is_said
    ["http://x", "smtp://", "smtp://host", "smtp://[", "nothing"].each do |address|
      assert_raises(ArgumentError) { A::Post.new(address) }
    end
  end

  private

  def content = {
    "customer" => "Wenna Tern", "title" => "Sail loft", "lines" => [], "currency" => "€", "gross" => "1.00",
    "net" => "1.00", "tax" => "0.00", "tax_percent" => "0", "house" => "Saltmarsh", "prices" => "gross"
  }

  def drafted(to, paper: nil, subject: "About it – é", body: "Wenna,") =
    workroom.letters.draft(
      @job, sort: "free", house: "http://house.example", paper: paper, to: to, subject: subject, body: body
    )

  def sent(letter)
    queued { workroom.letters.send_off(letter) }
    work(letter)
  end

  # As the queue would, with what it is asked meanwhile noted.
  def work(letter) = queued { with_post { B::Posting.new({}).run(workroom.id, letter) } }

  def queued(&block)
    asked = ->(*, job_options:) { @asked << (job_options[:run_at] ? (job_options[:run_at] - Time.now).round : 0) }
    Que.stub(:enqueue, asked, &block)
  end

  def with_post(&block) =
    A::Post.stub(:configured, A::Post.new("smtp://127.0.0.1:#{@port}?from=workroom@saltmarsh.example"), &block)

  def outbox = EarnestFold::Documents::Outbox.new(@folder).letters
end
