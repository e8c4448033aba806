# frozen_string_literal: true

require "store_test_helper"
require "rack/test"
require "sweep/declared_documents"
require "sweep/every_page"

EarnestFold::LOADER.eager_load

# Every document that the declared fields can make is brought in through the web, and every page, paper and file that
# its job links to is opened. `bin/test sweep` takes them all; else the least, the most, and some of every sort, of
# which a run of everything takes a few (Walks).
class SweepTest < StoreTest
  MADE = DeclaredDocuments.new
  DOCUMENTS = (ENV["SWEEP"] == "whole") ? MADE.all : MADE.sample.first(2) + Walks.some(MADE.sample.drop(2), 4)
  # Which of how many processes this is.
  SHARE, SHARES = ENV.fetch("SWEEP_SHARE", "0/1").split("/").map { |number| Integer(number, 10) }

  DOCUMENTS.each_with_index do |made, index|
    next unless index % SHARES == SHARE

    define_method(:"test_#{format("%04d", index)}_#{made.name.gsub(/\W+/, "_")}") { swept(made) }
  end

  # A house of other habits makes the same window another way: every habit, with the least and the most.
  DeclaredDocuments.houses.product(DeclaredDocuments.new.plain_and_full).each_with_index do |(rules, made), index|
    unless (ENV["SWEEP"] == "whole") ? index % SHARES == SHARE : (rules["lining_school"] && made.name == "the most")
      next
    end

    define_method(:"test_house_#{rules.to_a.join("_")}_#{made.name.tr(" ", "_")}") do
      workroom.house.update(version: workroom.house.read.version, rules: rules)
      swept(made)
    end
  end

  def test_that_the_whole_of_them_is_many_and_each_by_its_own_name
    all = DeclaredDocuments.new.all

    assert_operator all.size, :>=, 400
    assert_equal all.size, all.map(&:name).uniq.size
  end

  private

  def swept(made)
    pages = EveryPage.new
    refused = pages.bring_in(made.document)

    return assert_match(made.refusal, refused, made.name) if refused && made.refusal

    assert_nil refused, "#{made.name}: the document was refused"
    assert_empty pages.faults, made.name
    assert_operator pages.opened.size, :>, 12, made.name
  end
end
