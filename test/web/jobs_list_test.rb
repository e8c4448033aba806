# frozen_string_literal: true

require "web_test_helper"
require "nokogiri"

# The list of jobs, at work and in the archive: each in one line, with what is in it.
class JobsListTest < WebTest
  def test_windows_and_somebodys_own_curtains_are_counted_apart
    assert_equal ["", "1 window"], told("Ticket office")
    assert_equal ["", "3 alterations"], told("Ferry chapel")
    workroom.windows(job("Ferry chapel").id).add(room: "Porch", name: "", spec: {})
    assert_equal ["Porch", "1 window · 3 alterations"], told("Ferry chapel")
  end

  # A window with its sheer is one.
  def test_layers_of_a_window_are_one_window
    made = office
    workroom.windows(made.id).add_layer(made.windows.first, made.treatments.first.spec, behind: false)
    assert_equal "1 window", told("Ticket office").last
  end

  def test_a_job_with_nothing_in_it_says_so_once
    workroom.jobs.create(title: "Bare", unit: "cm")
    assert_equal ["", "no window yet"], told("Bare")
  end

  def test_a_room_that_is_called_as_the_job_is_told_once
    assert_equal "", told("Ticket office").first
    %w[Yard Booth].each { |room| workroom.windows(office.id).add(room: room, name: "", spec: {}) }
    assert_equal ["Yard, Booth", "3 windows"], told("Ticket office")
    workroom.windows(office.id).move(office.windows.last.id, by: -1)
    assert_equal ["Booth, Yard", "3 windows"], told("Ticket office")
  end

  def test_in_the_archive_as_at_work
    chapel = job("Ferry chapel")
    workroom.jobs.archive(chapel.id, true)
    assert_equal ["", "3 alterations"], told("Ferry chapel", at: "/jobs/archive")
    get "/jobs"
    refute_includes text, "Ferry chapel"
  end

  private

  # @return [Array(String, String)] its rooms, and how many of what
  def told(title, at: "/jobs")
    get at
    line = Nokogiri::HTML5(last_response.body).css(".jobs li").find { |one| one.at_css("b").text == title }
    line.css("span").map { |one| one.text.strip }
  end
end
