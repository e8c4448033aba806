# frozen_string_literal: true

require "test_helper"
require_relative "comparison"

# The worked jobs, through the documents as a file brings them.
class WorkedJobsTest < EarnestFoldTest
  Dir[File.join(__dir__, "*.fold.json")].sort.each do |file|
    name = File.basename(file, ".fold.json")
    define_method(:"test_#{name}") do
      expected = JSON.parse(File.read(file.sub(".fold.json", ".expected.json")))
      job = EarnestFold::Documents::JobFormat.read(File.read(file))
      got = EarnestFold::Documents::ReckoningFormat.new(EarnestFold::Reckoning::JobReckoning.new(job)).to_h
      assert_empty Comparison.new.differences(expected, JSON.parse(JSON.generate(got)))
    end
  end
end
