# frozen_string_literal: true

require "test_helper"
require_relative "random_jobs"

# Bad documents never raise anything but the documented error, and each error names its place and says something.
class FuzzTest < EarnestFoldTest
  Invalid = EarnestFold::Reckoning::Invalid
  SEEDS = Walks.some(3000.times, 900)

  def test_spoilt_documents_are_refused_or_reckoned
    refused = SEEDS.count { |seed| refused?(spoilt(seed), seed) }
    assert_operator refused, :>, SEEDS.size / 4
    assert_operator refused, :<, SEEDS.size
  end

  def test_spoilt_worked_jobs_too
    files = Dir[root("test/golden/*.fold.json")]
    files.each_with_index do |file, index|
      Walks.some(40.times, 12).each do |seed|
        refused?(RandomJobs.new(seed + 1000 * index).spoilt(JSON.parse(File.read(file))), "#{file} #{seed}")
      end
    end
  end

  def test_text_that_is_no_document
    ["", "[", "nul", "\xff\xfe", "{\"a\":1}x", "[" * 5000, "{\"format\":1e999999999}", "\u0000", "123", "\"x\"", "null",
      "[1]"].each do |text|
      error = assert_raises(Invalid, text[0, 20]) { EarnestFold::Documents::JobFormat.read(text) }
      refute_empty error.problems
    end
  end

  def test_the_schema_lets_every_good_document_pass
    30.times do |seed|
      text = JSON.generate(RandomJobs.new(seed).document)
      assert_empty EarnestFold::Documents::Schema.misfits(EarnestFold::Documents::JobFormat.parse(text)), "seed #{seed}"
    end
  end

  private

  def spoilt(seed) = RandomJobs.new(seed).then { |random| random.spoilt(random.document(treatments: 1)) }

  def refused?(document, seed)
    job = EarnestFold::Documents::JobFormat.read(JSON.generate(document))
    made = EarnestFold::Reckoning::JobReckoning.new(job)
    JSON.generate(EarnestFold::Documents::ReckoningFormat.new(made).to_h)
    JSON.generate(EarnestFold::Documents::PlanFormat.new(made).to_h)
    false
  rescue Invalid => invalid
    invalid.problems.each do |problem|
      assert problem.at.empty? || problem.at.start_with?("/"), "seed #{seed}"
      refute_empty EarnestFold::Words.problem(problem)
    end
    true
  rescue => error
    flunk "seed #{seed}: #{error.class} #{error.message} #{error.backtrace.first(3)}"
  end
end
