# frozen_string_literal: true

require "test_helper"
require "prop_check"

# A job's account: its lines add up to their sum, it is rounded once, and tax is the same whichever way it is reckoned.
class StatementTest < EarnestFoldTest
  G = PropCheck::Generators
  R = EarnestFold::Reckoning
  A = R::Account
  NOTHING = A::Asked.new(school: nil, fitted: 0, travel: R::Money::ZERO, extras: [])

  def test_by_the_hour_and_by_the_width
    made = statement([work(minutes: 150r, widths: 3r, drop: 2400)])
    assert_equal %w[90.00 138.00], [made.labour("by_time"), made.labour("by_width")].map(&:to_s)
    assert_equal "by_time", made.school
    assert_equal [:making, :sundries], made.lines.map(&:sort)
  end

  # 3 widths at 46 in 150 minutes are 55.20 an hour; the rounding of 0.30 down takes 0.12 of it.
  def test_what_it_gives_an_hour_holds_the_rounding
    made = statement(
      [work(minutes: 150r, widths: 3r, drop: 2400, curtains: 0)],
      [],
      NOTHING.with(school: "by_width", extras: [A::Extra.new(name: "Hooks", amount: R::Money.of(3 / 10r))]),
      "round_to" => "1"
    )
    assert_equal ["138.00", "0.30", "-0.30"], made.lines.map { |line| line.amount.to_s }
    assert_equal "55.08", made.per_hour.to_s
    assert_nil statement([]).per_hour
  end

  # An hour as planned that took forty minutes: either is charged, and each gives something else an hour.
  def test_by_the_clock
    took = work(minutes: 60r, curtains: 0).with(clocked: 40r)
    planned = statement([took, work(minutes: 30r, curtains: 0)])
    assert_equal %w[54.00 42.00], [planned.labour("by_time"), planned.labour("by_clock")].map(&:to_s)
    assert_equal [70r, true], [planned.clocked, planned.clocked?]
    assert_equal "46.29", planned.per_hour("by_time", planned.clocked).to_s
    by_clock = statement([took], [], NOTHING.with(school: "by_clock"))
    assert_equal [["24.00", 40]], by_clock.lines.map { |line| [line.amount.to_s, line.data[:minutes]] }
    refute statement([work(minutes: 30r)]).clocked?
  end

  def test_sums_are_rounded_down_too
    made = statement([work(minutes: 50r, curtains: 0)], [], NOTHING, "round_to" => "8", "rounding" => "down")
    assert_equal "24.00", made.sum.to_s
    assert_equal %w[-20.00 -10.00], [-15, -5].map { |sum| R::Money.of(sum).in_steps(R::Money.of(10), "down").to_s }
  end

  # One line brings the sum to what was agreed on; nothing is rounded after it.
  def test_an_agreed_sum_is_a_line_of_its_own
    made = statement([work(minutes: 50r, curtains: 0)], [], NOTHING.with(agreed: R::Money.of(25)), "round_to" => "7")
    assert_equal [[:making, "30.00"], [:agreed, "-5.00"]], made.lines.map { |line| [line.sort, line.amount.to_s] }
    assert_equal %w[25.00 30.00], [made.sum, made.per_hour].map(&:to_s)
    assert_equal [:making],
      statement([work(minutes: 50r, curtains: 0)], [], NOTHING.with(agreed: R::Money.of(30))).lines.map(&:sort)
  end

  def test_what_was_paid_leaves_the_rest_open
    paid = [["deposit", 20], ["cash", 30]].map do |name, sum|
      A::Payment.new(on: "2026-03-03", name: name, amount: R::Money.of(sum))
    end
    made = statement([work(minutes: 100r, curtains: 0)], [], NOTHING.with(payments: paid))
    assert_equal [made.gross - R::Money.of(50), R::Money.of(50)], [made.open, made.paid]
  end

  def test_drops_fall_into_bands
    rules = A::USUAL
    assert_equal [34, 34, 46, 62, 62], [100, 1500, 1501, 3500, 9000].map { |mm| rules.for_a_width(R::Length.mm(mm)) }
  end

  def test_cloth_has_its_margin
    made = statement([], [A::Bought.new(name: "Twill", length: R::Length.mm(12_300), sold_by: :metre, price: 43 / 2r)])
    assert_equal "317.34", made.lines.first.amount.to_s
  end

  def test_lines_add_up_and_tax_is_rounded_once_both_ways
    PropCheck.forall(
      G.array(G.tuple(G.choose(1..3000), G.choose(1..9), G.choose(500..4000)), min: 1, max: 8),
      G.choose(0..2500),
      G.choose(1..500),
      G.boolean,
      G.boolean
    ) do |works, tax, step, gross, up|
      rules = {
        "tax_percent" => format("%d.%02d", *tax.divmod(100)),
        "round_to" => format("%d.%02d", *step.divmod(100)),
        "prices" => gross ? "gross" : "net",
        "rounding" => up ? "up" : "nearest"
      }
      made = statement(
        works.map { |minutes, widths, drop| work(minutes: Rational(minutes, 7), widths: widths.to_r, drop: drop) },
        [],
        NOTHING,
        rules
      )
      assert_equal made.sum, R::Money.sum(made.lines.map(&:amount))
      assert_equal 0, made.sum.hundredths % step
      assert_equal made.gross, made.net + made.tax
      assert_equal made.sum, gross ? made.gross : made.net
      exact = gross ? made.gross.to_r * tax / (10_000 + tax) : made.net.to_r * tax / 10_000
      assert_operator (made.tax.to_r - exact).abs, :<=, 1 / 200r
    end
  end

  def test_what_changed_since_a_quote
    before = statement([work(minutes: 60r, title: "Bay"), work(minutes: 60r, title: "Door")]).lines
    after = statement([work(minutes: 90r, title: "Bay"), work(minutes: 60r, title: "Hall")]).lines
    changes = A::Changes.between(before, after)
    assert_equal [[:making, "Bay", "36.00", "54.00"], [:making, "Hall", "", "36.00"], [:making, "Door", "36.00", ""]],
      changes.map { |change| [change.sort, change.name, change.before.to_s, change.after.to_s] }
    assert_empty A::Changes.between(before, before)
  end

  private

  def work(minutes:, widths: 1r, drop: 2000, curtains: 2, title: "Bay") =
    A::Billed.new(
      title: title,
      minutes: minutes,
      widths: widths,
      drop: R::Length.mm(drop),
      curtains: curtains,
      altered: false
    )

  def statement(works, bought = [], asked = NOTHING, rules = {}) =
    A::Statement.new(works, bought, asked, A::Rules.new(**A::Rules::FIELDS.read(rules, R::Units::MM, R::Problems.new)))
end
