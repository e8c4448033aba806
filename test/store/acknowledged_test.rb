# frozen_string_literal: true

require "store_test_helper"
require "securerandom"
require "server_of_its_own"

# The server is killed again and again while several hands save: whatever it said yes to is there, and nothing is there
# twice, however often it was sent.
class AcknowledgedTest < EarnestFoldTest
  S = EarnestFold::Store
  JOBS, PAPERS, HANDS, KILLS = 200, 10, 4, 4
  # How long a hand waits before it tries again, in seconds.
  AGAIN = 0.05

  # One browser: its session, and what it sends, each under a key of its own until it is said yes to.
  class Hand
    def initialize(house)
      @house = URI(house)
    end

    # Sent again until it is said yes to, under the same key.
    def save(path, fields)
      key = SecureRandom.uuid
      IO.select(nil, nil, nil, AGAIN) until taken?(path, fields.merge("once" => key))
    end

    private

    def taken?(path, fields)
      answer = posted(path, fields.merge("authenticity_token" => signed))
      return true if answer.code == "303"

      @cookie = nil
      false
    rescue SystemCallError, IOError, Timeout::Error
      @cookie = nil
      false
    end

    def signed
      return @token if @cookie

      page = Net::HTTP.get_response(@house + "/jobs")
      @cookie = page["set-cookie"].to_s.split(";").first
      @token = page.body[/name="authenticity_token" value="([^"]+)"/, 1]
    end

    def posted(path, fields)
      request = Net::HTTP::Post.new(path, {"Cookie" => @cookie})
      request.set_form_data(fields)
      Net::HTTP.start(@house.host, @house.port, read_timeout: 10) { |http| http.request(request) }
    end
  end

  def setup
    [:papers, :jobs, :cloths, :paper_numbers].each { |table| workroom.rows(table).delete }
    S::DemoHouse.new(workroom).load
    @server = ServerOfItsOwn.new(SecureRandom.hex(64)).start
  end

  def teardown
    @server.kill
    [:papers, :jobs, :cloths, :paper_numbers].each { |table| workroom.rows(table).delete }
  end

  def test_what_was_said_yes_to_is_there_once
    waiting, acknowledged = Queue.new, Queue.new
    JOBS.times { |index| waiting << ["/jobs", {"title" => "Room #{index}", "unit" => "cm"}] }
    PAPERS.times { waiting << ["/jobs/#{office}/papers", {"kind" => "invoice", "customer" => "The ferry office"}] }
    waiting.close
    hands = Array.new(HANDS) { hand(waiting, acknowledged) }
    killed_every((JOBS + PAPERS) / (KILLS + 1), acknowledged)
    hands.each(&:join)

    made = workroom.rows(:jobs).where(Sequel.like(:title, "Room %")).select_map(:title)
    assert_equal Array.new(JOBS) { |index| "Room #{index}" }.sort, made.sort
    assert_equal (1..PAPERS).to_a, workroom.bills.of(office).map(&:number).sort
  end

  private

  def workroom = S.workroom

  def office = @office ||= workroom.jobs.list.find { |line| line.title == "Ticket office" }.id

  def hand(waiting, acknowledged)
    Thread.new do
      one = Hand.new(@server.house)
      while (path, fields = waiting.pop)
        one.save(path, fields)
        acknowledged << path
      end
    end
  end

  def killed_every(number, acknowledged)
    KILLS.times do
      number.times { acknowledged.pop }
      @server.kill
      @server.start
    end
  end
end
