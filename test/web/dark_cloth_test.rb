# frozen_string_literal: true

require "web_test_helper"

# A workroom of dark cloths: velvet for a stage, blackout. No drawing of any page or paper is ink on ink.
class DarkClothTest < WebTest
  DARK = "#0b0d12"
  STATIONS = %w[measure heading cloth cloth?part=lining cutting making bench hanging].freeze
  PAGES = %w[/today /jobs /cloths /shelf /diary].freeze

  def test_every_drawing_can_be_read
    workroom.rows(:cloths).update(colour: DARK)
    jobs = workroom.jobs.list.map { |line| workroom.jobs.find(line.id) }
    paths = PAGES + jobs.flat_map { |job| of_job(job) } + workroom.shelf.all.map { |piece| "/shelf/#{piece.id}" }
    drawn = paths.uniq.count { |path| look(path) }
    assert_operator drawn, :>, 60
  end

  private

  def of_job(job)
    works = job.treatments.map { |work| "/jobs/#{job.id}/treatments/#{work.id}" }
    cloths = job.treatments.filter_map { |work| work.spec["face"] }.uniq
    ["/jobs/#{job.id}"] + works.product(STATIONS).map { |work, station| "#{work}/#{station}" } +
      cloths.flat_map { |cloth| ["/cloths/#{cloth}", "/jobs/#{job.id}/table/#{cloth}", plan(job, cloth)] }
  end

  def plan(job, cloth) = "/jobs/#{job.id}/cutting/#{cloth}/plan.svg"

  # What colour a cloth is can still be seen where it is chosen, and beside its name in lists.
  def look(path)
    get path
    body = last_response.body.gsub(/<input id="colour".*?>/m, "").gsub(%r{fill="#{DARK}"/></svg></i>}o, "")
    refute_includes body, DARK, path
    body.include?("<svg")
  end
end
