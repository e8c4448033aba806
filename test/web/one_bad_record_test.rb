# frozen_string_literal: true

require "web_test_helper"
require "minitest/mock"

# What can't be reckoned or drawn is shown as such at its place; lists, books, diary and the papers of others go on.
class OneBadRecordTest < WebTest
  M = EarnestFold::Reckoning::MakingUp

  def setup
    super
    @job = job("Residents' lounge")
    @bad, @good = @job.treatments.first(2)
  end

  def test_a_step_that_fails_harms_its_own_treatment_alone
    order = M::Order.method(:new)
    M::Order.stub(
      :new,
      ->(made, house) do
        (made.id == @bad.id.to_s) ? raise(NoMethodError, "undefined method for nil") : order.call(made, house)
      end
    ) do
      everything_else_goes_on
    end
  end

  def test_a_remark_that_fails_too
    judgement = EarnestFold::Reckoning::Judgement
    call = judgement::Rules["middle_too"].touched
    fails = judgement::Rules["middle_too"].with(
      touched: ->(seen, touch) do
        (seen.treatment.id == @bad.id.to_s) ? raise(NoMethodError, "undefined method for nil") : call.call(seen, touch)
      end
    )
    rules = judgement.at_work.map { |rule| (rule.code == fails.code) ? fails : rule }
    judgement.stub(:at_work, rules) { everything_else_goes_on }
  end

  def test_a_treatment_that_cannot_even_be_read_too
    read = EarnestFold::Reckoning::TreatmentReader.instance_method(:read)
    bad = @bad.id.to_s
    EarnestFold::Reckoning::TreatmentReader.class_eval do
      define_method(:read) do |raw, place, **known, &keep|
        (raw["id"] == bad) ? raise(TypeError, "can't be") : read.bind_call(self, raw, place, **known, &keep)
      end
    end
    everything_else_goes_on
  ensure
    EarnestFold::Reckoning::TreatmentReader.define_method(:read, read)
  end

  private

  def everything_else_goes_on
    causing_faults
    [
      "/jobs",
      "/today",
      "/jobs/#{@job.id}",
      "/jobs/#{@job.id}/account",
      "/diary",
      "/diary.ics",
      "/logbook",
      "/logbook.csv",
      "/jobs/#{@job.id}/read-back",
      "/jobs/#{@job.id}/job.fold.json"
    ].each do |address|
      answers(address)
    end
    %w[work-order.pdf hanging-sheet.pdf tags.pdf needs.pdf order.pdf needs.csv].each do |paper|
      answers("/jobs/#{@job.id}/#{paper}")
    end
    %w[measure heading cloth cutting making bench hanging].each do |station|
      answers("/jobs/#{@job.id}/treatments/#{@good.id}/#{station}")
    end
    %w[measure heading cloth cutting making hanging].each do |station|
      answers("/jobs/#{@job.id}/treatments/#{@bad.id}/#{station}")
    end
    send_form(
      "/jobs/#{@job.id}/treatments/#{@bad.id}/measure",
      :headers => {"HX-Request" => "true"},
      "unit" => "cm",
      "ease" => "3",
      "saw" => {"ease" => @bad.spec["ease"].to_s.delete_suffix(" cm")}
    )
    assert_equal [200, "3 cm"],
      [last_response.status, job("Residents' lounge").treatments.first.spec["ease"]],
      "what is typed of it is kept all the same"
    get "/jobs/#{@job.id}/treatments/#{@good.id}/making"

    assert_match(/can't be shown/, text, "it is told in the rail of the others")
    get "/jobs/#{@job.id}/treatments/#{@bad.id}/making"

    assert_match(/a fault of ours, which the log has/, text)
    get "/jobs/#{@job.id}/account"

    assert_match(/isn't in it yet/, text)
  end

  def answers(address)
    get address

    assert_equal 200, last_response.status, "#{address}: #{last_request.env["sinatra.error"].inspect[0, 300]}"
  end
end
