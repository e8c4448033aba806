# frozen_string_literal: true

require "web_test_helper"

# What a set of rules, a method and a tape say of a treatment's fields.
class RuledTest < EarnestFoldTest
  include EarnestFold

  R = EarnestFold::Reckoning

  def test_nothing_speaks_of_what_is_not_looked_at
    sets = Web::Forms::RuleSetForm::PATHS.map { |path| Web::Forms::RuleSetForm.of_treatment(path) }
    methods = R::Methods::Kinds.to_a.product([R::Units::CM, R::Units::IN]).flat_map do |kind, unit|
      kind.figures(unit).keys
    end
    assert_equal Web::Ruled::SPOKEN_OF.sort, (sets + methods).map { |path| path[/\A\w+/] }.uniq.sort
  end

  def test_a_figure_that_follows_the_rule_and_one_that_departs
    set = Store::RuleSet.new(id: 1, name: "Usual", spec: {"metric" => {"making" => {"seam" => "1.5 cm"}}}, version: 1)
    follows = ruled(set, "15 mm")
    departs = ruled(set, "2 cm")
    assert_equal [false, true], [follows, departs].map { |one| one.mark("making.seam").departs }
    assert_nil departs.mark("overlap")
    assert_equal 1, departs.departures(%w[making.seam overlap])
  end

  private

  def ruled(set, seam) = Web::Ruled.new(set, {"making" => {"seam" => seam}}, R::Units::CM)
end
