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

  def test_drops_fall_into_bands
    rules = A::USUAL
    assert_equal [34, 34, 46, 62, 62], [100, 1500, 1501, 3500, 9000].map { |mm| rules.for_a_width(R::Length.mm(mm)) }
  end

  def test_cloth_has_its_margin
    made = statement([], [A::Bought.new(name: "Twill", length: R::Length.mm(12_300), price: 43 / 2r)])
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
