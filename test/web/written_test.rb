# frozen_string_literal: true

require "web_test_helper"
require "nokogiri"

# The books: every quote, order and invoice that went out, and what is open of them.
class WrittenTest < WebTest
  def test_nothing_went_out_yet
    get "/books"
    assert_equal 200, last_response.status
    assert_match(/No quote, order or invoice has gone out yet/, text)
  end

  def test_what_went_out_is_listed_with_what_is_open
    write("quote", lounge, "Mrs Tallow")
    first = write("invoice", lounge, "Mrs Tallow")
    get "/books"
    assert_match(/Invoice \d+ \d+ \w{3} \d{4} Residents' lounge Mrs Tallow #{first} € #{first} Quote \d+/, text)
    assert_match(/Open, of all invoices #{first} €/, text)
    workroom.jobs.set_account(lounge.id, {"payments" => [paid("300.50")]}, version: lounge.version)
    get "/books"
    assert_match(/Open, of all invoices #{EarnestFold::Words.money(Rational(first) - Rational("300.5"))} €/, text)
  end

  # A second invoice stands for the first; what was paid beyond it is nobody's debt.
  def test_only_the_last_invoice_of_a_job_is_open
    write("invoice", lounge, "Mrs Tallow")
    write("invoice", lounge, "Mrs Tallow")
    sum = write("invoice", office, "The ferry")
    workroom.jobs.set_account(lounge.id, {"payments" => [paid("99999.00")]}, version: lounge.version)
    get "/books"
    assert_match(/Open, of all invoices #{sum} €/, text)
    assert_equal 3, page.css("tbody tr").size
  end

  def test_the_books_of_another_workroom_stay_there
    write("invoice", lounge, "Mrs Tallow")
    assert_empty other_workroom.bills.list
    assert_equal "0.00", other_workroom.bills.open.to_s
  end

  private

  def lounge = job("Residents' lounge")

  def paid(amount) = {"on" => "2026-01-05", "name" => "Deposit", "amount" => amount}

  # @return [String] what it comes to
  def write(kind, job, customer)
    send_form("/jobs/#{job.id}/papers", "kind" => kind, "customer" => customer)
    assert_equal 303, last_response.status
    workroom.bills.of(job.id).first.content["gross"]
  end

  def page = Nokogiri::HTML5(last_response.body)
end
