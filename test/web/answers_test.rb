# frozen_string_literal: true

require "web_test_helper"

# What a customer answers to a quote: said at the Account, told at the job and on Today.
class AnswersTest < WebTest
  def test_a_quote_waits_for_an_answer_and_comes_back
    quote = written("quote")
    get "/today"
    assert_match(/Answer Residents' lounge Quote #{quote.number} went out on .*: no answer yet/, text)
    refute_match(/Came back/, text)
    answer(quote, "said" => "accepted", "on" => Date.today.iso8601)
    assert_equal 303, last_response.status
    get "/today"
    assert_match(/Came back Residents' lounge Quote #{quote.number} accepted, #{told(Date.today)}/, text)
    refute_match(/no answer yet/, text)
    get "/jobs/#{lounge.id}"
    assert_match(/Quote #{quote.number}, accepted #{Date.today.strftime("%-d %b")}/, text)
    get "/jobs/#{lounge.id}/account"
    assert_match(/accepted #{Date.today.strftime("%-d %b %Y")}/, text)
  end

  def test_whoever_says_something_else_later_is_believed
    quote = written("order")
    answer(quote, "said" => "accepted", "on" => (Date.today - 2).iso8601)
    answer(quote, "said" => "declined", "on" => "")
    said = workroom.bills.of(lounge.id).first.answer
    assert_equal ["declined", Date.today], [said.said, said.on]
  end

  def test_an_invoice_is_not_answered_and_ends_the_waiting
    quote, invoice = written("quote"), written("invoice")
    get "/today"
    refute_match(/no answer yet/, text)
    answer(invoice, "said" => "accepted", "on" => "")
    assert_equal 404, last_response.status
    send_form("/jobs/#{office.id}/papers/#{quote.id}/answer", "said" => "accepted", "on" => "")
    assert_equal 404, last_response.status, "a paper of another job"
  end

  def test_what_cannot_be_taken_is_said
    quote = written("quote")
    {
      {"said" => "perhaps", "on" => ""} => /accepted or declined/,
      {"said" => "accepted", "on" => "2026-02-30"} => /Say to which day/,
      {"said" => "accepted", "on" => (Date.today + 3).iso8601} => /still to come/
    }.each do |typed, said|
      answer(quote, typed)
      assert_equal 422, last_response.status
      assert_match(said, text)
    end
    assert_nil workroom.bills.of(lounge.id).first.answer
  end

  # What was answered long ago isn't news.
  def test_old_answers_are_not_told_on_today
    quote = written("quote")
    answer(quote, "said" => "accepted", "on" => (Date.today - 30).iso8601)
    get "/today"
    refute_match(/Came back|no answer yet/, text)
  end

  def test_an_answer_is_never_changed
    quote = written("quote")
    answer(quote, "said" => "accepted", "on" => "")
    assert_raises(Sequel::DatabaseError) { S.db[:paper_answers].where(paper_id: quote.id).update(said: "declined") }
  end

  private

  def lounge = job("Residents' lounge")

  def told(day) = EarnestFold::Words.day(day)

  def written(kind)
    send_form("/jobs/#{lounge.id}/papers", "kind" => kind, "customer" => "Mrs Tallow")
    workroom.bills.of(lounge.id).first
  end

  def answer(paper, typed) = send_form("/jobs/#{lounge.id}/papers/#{paper.id}/answer", **typed)
end
