# frozen_string_literal: true

require "documents_helper"

# What somebody else ordered who measured: made as wide and as long as that, the rest held beside the rules.
class OrderedTest < EarnestFoldTest
  include DocumentsHelper

  ORDER = {"finished_width" => 104, "finished_drop" => 212}.freeze

  def test_width_and_drop_are_made_as_they_were_ordered
    made = treatment(treatment: {"ordered" => ORDER})
    assert_equal [R::Length.cm(104)] * 2, made.curtains.map(&:finished_width)
    assert_equal R::Length.cm(212), made.finished_drop
    assert_equal [R::Length.cm(100)] * 2, made.treatment.measured_spans.map(&:finished_width)
    assert_equal R::Length.cm(213), made.treatment.measured_drop
    told = made.working.map(&:name)
    assert_equal %i[ordered_width ordered_drop], told & %i[ordered_width finished_width ordered_drop finished_drop]
  end

  def test_the_window_needs_no_measuring
    R::Opening::KINDS.each do |kind|
      opening = {"kind" => kind, "cover" => 40, "panels" => 3}
      whole = document(treatment: {"opening" => opening})
      made = whole["windows"][0]["treatments"][0]
      made.delete("drop")
      made["support"] = {"kind" => "track"}
      made["ordered"] = ORDER
      reckoning = reckoned(whole).treatments.first
      assert_equal R::Length.cm(212), reckoning.finished_drop
      assert_equal R::Length.cm(104), reckoning.curtains.last.finished_width
      # Of a dress pair what each covers is always given, so that the width ordered may be another.
      assert_equal (kind == "dress_pair") ? %w[ordered_width] : [], reckoning.checks.map(&:code).grep(/ordered/), kind
    end
  end

  def test_half_of_it_still_needs_the_other_half
    whole = document
    made = whole["windows"][0]["treatments"][0]
    made["support"] = {"kind" => "track"}
    made["ordered"] = {"finished_drop" => 212}
    assert_equal [["/windows/0/treatments/0/support/length", :missing]], problems(whole)
    made["ordered"] = {"finished_width" => 104}
    made.delete("drop")
    assert_equal [["/windows/0/treatments/0/drop", :missing]], problems(whole)
    made["drop"] = {"offset" => 1}
    assert_equal [["/windows/0/treatments/0/drop/readings", :missing]], problems(whole)
  end

  def test_what_differs_stands_beside
    made = treatment(treatment: {"ordered" => ORDER.merge("cut_length" => 240, "widths" => 2), "overlap" => 8})
    beside = made.ordered.to_h { |one| [[one.name, one.hand], [one.ordered, one.made, one.differs?]] }
    assert_equal [R::Length.cm(212), R::Length.cm(213), true], beside[[:finished_drop, nil]]
    assert_equal [R::Length.cm(240), made.cut_length, true], beside[[:cut_length, nil]]
    assert_equal [2, made.curtains.first.widths, made.curtains.first.widths != 2], beside[[:widths, "left"]]
    assert_equal %i[cut_length finished_drop finished_width widths], beside.keys.map(&:first).uniq.sort
    assert_empty treatment.ordered
    assert_empty treatment(treatment: {"ordered" => {"pleats" => 9}}).ordered
  end
end
