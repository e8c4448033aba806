# frozen_string_literal: true

require "web_test_helper"

# The demo house as it is first opened: every room, station and paper of it is there.
class WholeHouseTest < WebTest
  def setup
    super
    S::DemoHouse.new(workroom).load(reset: true, whole: true)
  end

  def test_every_station_and_paper_is_there
    workroom.jobs.list.each do |line|
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

  def there(path)
    get path
    assert_equal 200, last_response.status, path
  end
end
