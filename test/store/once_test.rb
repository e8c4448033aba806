# frozen_string_literal: true

require "store_test_helper"

# The same key from several at once: one does it, the others wait and are led to where it led.
class StoreOnceTest < EarnestFoldTest
  S = EarnestFold::Store

  def setup
    row = S.db[:workrooms].returning.insert(name: "The Once Room").first
    @workroom = S::Workroom.new(row[:id])
  end

  def teardown = S.db[:workrooms].where(id: @workroom.id).delete

  def test_eight_at_once_do_it_once
    done = Queue.new
    answers = Array.new(4) { Thread.new { Array.new(2) { take("same-key", done) } } }.flat_map(&:value)

    assert_equal 1, done.size
    assert_equal [nil] + ["/there"] * 7, answers.sort_by(&:to_s)
    assert_equal 1, @workroom.rows(:jobs).count
  end

  def test_what_fails_in_the_middle_is_undone_and_the_next_one_does_it
    assert_raises(ZeroDivisionError) do
      @workroom.once.at_first("a-key-here", "p") { @workroom.jobs.create(title: "x", unit: "cm") && 1 / 0 }
    end

    assert_equal 0, @workroom.rows(:jobs).count
    assert_nil take("a-key-here", Queue.new)
    assert_equal "/there", take("a-key-here", Queue.new)
  end

  def test_a_refused_row_inside_leaves_the_rest_standing
    led = @workroom.once.at_first("a-key-here", "p") do
      @workroom.jobs.create(title: "kept", unit: "cm")
      begin
        @workroom.transaction { S.db[:jobs].insert(workroom_id: -1, title: "x", unit: "cm") }
      rescue S::Missing
        nil
      end
      "/there"
    end

    assert_nil led
    assert_equal %w[kept], @workroom.rows(:jobs).select_map(:title)
  end

  def test_old_keys_are_forgotten
    take("a-key-here", Queue.new)
    @workroom.rows(:taken_once).update(at: Sequel.lit("now() - interval '200 days'"))
    @workroom.once.forget_old

    assert_equal 0, @workroom.rows(:taken_once).count
  end

  private

  def take(key, done)
    @workroom.once.at_first(key, "p") do
      @workroom.jobs.create(title: "once", unit: "cm")
      done << true
      "/there"
    end
  end
end
