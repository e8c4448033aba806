# frozen_string_literal: true

require "web_test_helper"

# The demo house as it is first opened: every room, station and paper of it is there.
class WholeHouseTest < WebTest
  def setup
    super
    S::DemoHouse.new(workroom).load(reset: true, whole: true)
    bill = EarnestFold::Documents::BillContent.method(:of)
    EarnestFold::Work::DemoProgress.new(workroom, &bill).load
  end

  # Each job stands at another point of its way.
  def test_the_jobs_have_come_as_far_as_they_are_said_to
    way = %w[Snug Attic Boathouse Studio].to_h { |title| [title, works(title)] }
    cut = way.transform_values { |works| works.sum { |work| stages(work).count { |name| name == "cutting" } } }
    assert_equal({"Snug" => 0, "Attic" => 3, "Boathouse" => 2, "Studio" => 1}, cut)
    snug = workroom.plans.of(job("Snug").id)
    refute_empty snug.open
    assert_includes snug.cuts.values.flatten.map(&:state), "cut"
    assert_equal [14, 5, 0], way["Attic"].map { |work| work.steps.count { |step| (step.names - work.done).empty? } }
    assert_equal [true, true], way["Boathouse"].map { |work| stages(work).include?("hanging") }
    assert(way["Studio"].all? { |work| stages(work).include?("account") })
    assert_equal %w[invoice quote quote], workroom.bills.list.map { |line| line.bill.kind }
    assert_operator workroom.bills.open.to_r, :>, 0
  end

  def test_every_station_and_paper_is_there
    Walks.some(workroom.jobs.list, 4).each do |line|
      job = workroom.jobs.find(line.id)
      there "/jobs/#{job.id}"
      there "/jobs/#{job.id}/account"
      there "/jobs/#{job.id}/order.pdf"
      EarnestFold::Work::Workroom.new(workroom).job(job.id).works.each do |work|
        (work.stations - ["account"]).each { |name| there "/jobs/#{job.id}/treatments/#{work.id}/#{name}" }
        next unless work.reckoning

        %w[bench work-order.pdf hanging-sheet.pdf].each { |name| there "/jobs/#{job.id}/treatments/#{work.id}/#{name}" }
      end
    end
    %w[/today /diary /logbook /shelf /cloths].each { |path| there path }
  end

  private

  def works(title) = EarnestFold::Work::Workroom.new(workroom).job(job(title).id).works

  # @return [Array<String>] the stations that are done
  def stages(work) = work.stations.select { |name| %i[done warned].include?(work.station_state(name)) }

  def there(path)
    get path
    assert_equal 200, last_response.status, path
  end
end
