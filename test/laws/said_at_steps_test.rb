# frozen_string_literal: true

require "test_helper"
require "json"
require "sweep/declared_documents"

# No caution is lost with the school, the heading or the lining: whatever is said at Making has a step at which it is
# said, in every order of work, for every kind of window.
class SaidAtStepsTest < EarnestFoldTest
  R = EarnestFold::Reckoning
  HABITS = {
    "lining_school" => R::HouseRules::LINING_SCHOOLS,
    "making_order" => R::HouseRules::MAKING_ORDERS,
    "stitching" => R::HouseRules::STITCHINGS
  }.freeze
  # Some of every sort, the least and the most of them.
  EVERY = 9

  def test_what_is_said_at_making_has_its_step
    lost = windows.product(houses).flat_map { |window, house| said_nowhere(window, house) }
    assert_empty lost.tally
  end

  private

  def houses
    names, words = HABITS.keys, HABITS.values
    words.first.product(*words.drop(1)).map { |habits| R::HouseRules.read(names.zip(habits).to_h, R::Units::CM) }
  end

  def windows =
    DeclaredDocuments.new.all
      .select.with_index { |made, index| (index % EVERY).zero? && made.refusal.nil? && made.document["windows"].any? }
      .flat_map { |made| EarnestFold::Documents::JobFormat.read(JSON.generate(made.document)).treatments }
      .map(&:reckon)

  def said_nowhere(window, house)
    steps = R::MakingUp::Order.new(window, house).steps.map(&:code)
    remarks = R::Judgement.of(window.treatment, window, house: house, station: "making")
    remarks.reject { |remark| remark.manner == :ask || remark.step_among(steps) }.map { |remark| [remark.code, steps] }
  end
end
