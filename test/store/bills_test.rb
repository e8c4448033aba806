# frozen_string_literal: true

require "store_test_helper"

# Quotes, orders and invoices: numbered one after the other, never twice and without a gap, whoever writes at once.
class BillsTest < EarnestFoldTest
  S = EarnestFold::Store

  def setup
    @workroom = S.workroom
    @workroom.rows(:papers).delete
    @workroom.rows(:paper_numbers).delete
    @job = @workroom.jobs.create(title: "Papers", unit: "cm")
  end

  def teardown
    @workroom.rows(:papers).where(job_id: @job).delete
    @workroom.rows(:paper_numbers).delete
    @workroom.rows(:jobs).where(id: @job).delete
  end

  def test_eight_at_once_get_eight_numbers
    numbers =
      Array
        .new(8) { |index| Thread.new { @workroom.bills.write(@job, "invoice", {"index" => index}).number } }
        .map(&:value)
    assert_equal (1..8).to_a, numbers.sort
    assert_equal 9, @workroom.bills.following["invoice"]
    assert_equal [1, 1], [@workroom.bills.following["quote"], @workroom.bills.write(@job, "quote", {}).number]
  end

  # What fails gives its number back: the counter stands in the same transaction.
  def test_a_paper_that_fails_leaves_no_gap
    assert_equal 1, @workroom.bills.write(@job, "invoice", {}).number
    assert_raises(S::Missing) { @workroom.bills.write(@job + 1_000_000, "invoice", {}) }
    assert_raises(RuntimeError) do
      @workroom.transaction do
        @workroom.bills.write(@job, "invoice", {})
        raise "dies here"
      end
    end
    assert_equal 2, @workroom.bills.write(@job, "invoice", {}).number
  end

  def test_a_number_is_used_once
    @workroom.bills.write(@job, "invoice", {}, number: 7)
    assert_raises(S::Taken) { @workroom.bills.write(@job, "invoice", {}, number: 7) }
    assert_equal [8, 7], [@workroom.bills.write(@job, "invoice", {}), @workroom.bills.of(@job).last].map(&:number)
  end

  def test_a_number_may_begin_a_kind_and_leaves_no_gap_after_that
    @workroom.bills.write(@job, "invoice", {}, number: 1042)
    [1044, 1041, 1].each do |number|
      assert_raises(S::OutOfTurn) { @workroom.bills.write(@job, "invoice", {}, number: number) }
    end
    @workroom.bills.write(@job, "invoice", {}, number: 1043)
    assert_equal 1044, @workroom.bills.write(@job, "invoice", {}).number
  end

  def test_an_invoice_closes_the_account
    refute @workroom.jobs.find(@job).invoiced
    @workroom.bills.write(@job, "quote", {})
    refute @workroom.jobs.find(@job).invoiced
    @workroom.bills.write(@job, "invoice", {})
    assert @workroom.jobs.find(@job).invoiced
  end
end
