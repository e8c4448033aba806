# frozen_string_literal: true

require "minitest/mock"
require "que"
require "web_test_helper"
require File.expand_path("../../support/post_stand_in", __dir__)

# Letters that were taken and came back: told where they stand, and only by whoever has the key.
class BouncedTest < WebTest
  KEY = "a key that is long enough".tr(" ", "-")

  def setup
    super
    app.set :bounce_key, KEY
    @job = office.id
    @letter = workroom.letters.draft(@job, sort: "free", house: "", to: "moved@tern.example", subject: "A", body: "B")
    Que.stub(:enqueue, nil) { workroom.letters.send_off(@letter) }
    workroom.letters.sent(@letter)
  end

  def teardown
    app.set :bounce_key, nil
    super
  end

  def test_a_letter_that_came_back_is_told_and_can_go_again
    assert_equal 201, handed_in(bounce)
    one = workroom.letters.find(@letter)
    assert_equal %w[failed bounced], [one.state, one.why]
    get "/outside"
    assert_match(/It came back: nobody gets letters at that address/, text)
    get "/today"
    assert_match(/It came back/, text)
    assert_equal 200, handed_in(bounce)
    Que.stub(:enqueue, nil) { workroom.letters.send_off(@letter) }
    assert_equal "waiting", workroom.letters.find(@letter).state
  end

  def test_it_can_be_changed_again_or_thrown_away
    assert_equal 404, send_form("/jobs/#{@job}/letters/#{@letter}/anew").status
    handed_in(bounce)
    send_form("/jobs/#{@job}/letters/#{@letter}/anew")
    assert_predicate workroom.letters.find(@letter), :draft?
    get "/today"
    refute_match(/came back/, text)
    send_form("/jobs/#{@job}/letters/#{@letter}/throw-away")
    assert_empty workroom.letters.of(@job)
  end

  def test_a_delay_is_no_end
    assert_equal 422, handed_in(bounce(action: "delayed"))
    assert_equal "sent", workroom.letters.find(@letter).state
  end

  def test_what_is_no_such_message_changes_nothing
    ["", "hello", "\xFF\x00", bounce.sub("letter-", "litter-"), bounce.sub("text/rfc822-headers", "text/plain"),
      "Content-Type: multipart/report; boundary=x\r\n\r\n--x\r\n" * 50].each do |message|
      assert_equal 422, handed_in(message), message[0, 60]
    end
    assert_equal 200, handed_in(bounce(number: 999_999))
    assert_equal "sent", workroom.letters.find(@letter).state
  end

  def test_nobody_without_the_key_hands_anything_in
    assert_equal 401, handed_in(bounce, key: "another-key-that-is-long-enough")
    header "Authorization", nil
    assert_equal 403, post("/bounced", bounce).status
    [nil, "", "short"].each do |key|
      app.set :bounce_key, key
      assert_equal 401, handed_in(bounce, key: key.to_s.empty? ? "x" : key)
    end
    assert_equal "sent", workroom.letters.find(@letter).state
  end

  private

  def bounce(action: "failed", number: @letter)
    letter = "From: a@b.example\r\nMessage-ID: <letter-#{workroom.id}-#{number}@saltmarsh.example>\r\n\r\nB"
    PostStandIn.bounce(letter, "moved@tern.example", action: action)
  end

  def handed_in(message, key: KEY)
    header "Authorization", "Bearer #{key}"
    post("/bounced", message, "CONTENT_TYPE" => "message/rfc822")
    header "Authorization", nil
    last_response.status
  end
end
