# frozen_string_literal: true

require "test_helper"
require_relative "random_jobs"
require_relative "plain_reckoner"

# The core and a second, plain way of reckoning agree on thousands of random documents.
class SecondWayTest < EarnestFoldTest
  SEEDS = Walks.some(1200.times, 400)

  def test_both_ways_agree
    reckoned = 0
    SEEDS.each do |seed|
      document = RandomJobs.new(seed).document
      job = read(document) or next
      reckoned += 1
      made = EarnestFold::Reckoning::JobReckoning.new(job).treatments.to_h { |one| [one.id, figures(one)] }
      assert_equal PlainReckoner.new(document).results, made, "seed #{seed}"
    end
    assert_operator reckoned, :>, SEEDS.size * 9 / 10
  end

  # What goes out is the exact figure rounded, not a figure reckoned from rounded ones.
  def test_rounding_happens_once
    Walks.some(200.times, 70).each do |seed|
      document = RandomJobs.new(seed).document
      job = read(document) or next
      out =
        EarnestFold::Documents::ReckoningFormat.new(EarnestFold::Reckoning::JobReckoning.new(job)).to_h["treatments"]
      PlainReckoner.new(document).results.each do |id, exact|
        assert_equal exact["cut_drop"].round(3).to_f, out[id]["cut_drop"].to_f
        exact["curtains"].zip(out[id]["curtains"]) do |curtain, shown|
          assert_equal curtain[:flat_width].round(3).to_f, shown["flat_width"].to_f
        end
      end
    end
  end

  private

  def read(document)
    EarnestFold::Documents::JobFormat.read(JSON.generate(document))
  rescue EarnestFold::Reckoning::Invalid
    nil
  end

  def figures(made)
    {
      "finished_drop" => made.finished_drop.mm,
      "cut_drop" => made.cut_drop.mm,
      "curtains" => made.curtains.map { |curtain| curtain_figures(curtain) },
      "widths_total" => made.widths_total,
      "lining_widths" => made.lining&.counts
    }
  end

  def curtain_figures(curtain)
    {
      hand: curtain.hand,
      leads: curtain.leads,
      f: curtain.finished_width.mm,
      r: curtain.span.return_flat.mm,
      o: curtain.span.lead_flat.mm,
      flat_needed: curtain.flat_needed.mm,
      widths: curtain.widths,
      flat_width: curtain.flat_width.mm,
      pleats: curtain.heading[:pleats]
    }
  end
end
