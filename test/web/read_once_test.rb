# frozen_string_literal: true

require "web_test_helper"

# A request that saves one figure reads it, and not all the others again: the job once, the treatment once, and hardly a
# length more than was typed and is shown.
class ReadOnceTest < WebTest
  READ = {
    /LengthReader>?#read\z/ => :lengths, /TreatmentReader#read\z/ => :treatments, /Jobs#record_of\z/ => :jobs,
    /Judgement>?#of\z/ => :judged
  }.freeze

  def test_saving_one_figure_reads_one
    read = counted { save(office, "measure", "return_left" => "7.3", :headers => asked) }
    assert_equal 200, last_response.status
    assert_match(/value="7.3"/, last_response.body)
    assert_equal [1, 1], read.values_at(:treatments, :jobs)
    assert_operator read.fetch(:lengths), :<, 10
    assert_equal "7.3 cm", office.treatments.first.spec["return_left"]
  end

  # What was read before is taken for what says the same alone, whatever else changes.
  def test_what_says_something_else_is_read_again
    ["7.3", "8", "7.3", "21"].each do |typed|
      save(office, "measure", "return_left" => typed, :headers => asked)
      made = EarnestFold::Work::Job.new(office, workroom.cloths.all, workroom.house.read).entries.first.reckoning
      EarnestFold::Work::Memory.clear
      cold = EarnestFold::Documents::JobFormat.read(document).treatments.first

      assert_equal [typed.to_r * 10, cold.return_left.mm], [made.treatment.return_left.mm] * 2
    end
  end

  private

  def asked = {"HX-Request" => "true", "X-Journal" => "1"}

  def document
    get "/jobs/#{office.id}/job.fold.json"
    last_response.body
  end

  # Counted from when the page was seen to when its answer is there.
  def counted
    EarnestFold::Work::Memory.clear
    get station(office, "measure")
    numbers = Hash.new(0)
    trace = TracePoint.new(:call) do |call|
      name = "#{call.defined_class}##{call.method_id}"
      READ.each { |pattern, read| numbers[read] += 1 if pattern.match?(name) }
    end
    # The test's own look at the job isn't counted.
    @office = office
    trace.enable { yield }
    numbers
  ensure
    @office = nil
  end

  def office = @office || super
end
