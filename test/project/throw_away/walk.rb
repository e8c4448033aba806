# frozen_string_literal: true

require "web_test_helper"
require "json"
require "open3"

# Run in a house that has one more heading, alteration, check and station: where they are to be seen besides the pages
# that the sweep opens.
class WalkTest < WebTest
  def test_the_heading_is_chosen_at_its_station
    save(office, "heading", "heading.kind" => "ribbon_loop")
    assert_equal 303, last_response.status
    get station(office, "heading")
    assert_match(/loops, each curtain \d+.*Between loops/m, text)
  end

  def test_the_alteration_is_taken_in_and_starts_as_it_says
    send_form("/jobs/#{office.id}/alterations", "room" => "Ferry", "name" => "", "kind" => "take_in")
    get last_response.location.sub(/measure\z/, "alter")
    assert_match(/name="taken" value="5"/, last_response.body)
  end

  def test_the_station_stands_in_the_tape_and_the_check_speaks_there
    get station(office, "blessing")
    assert_equal 200, last_response.status
    assert_match(/Making \(open\) 6 Blessing \(done\) 7 Hanging.*It hangs [\d.]+ cm wide/m, text)
  end

  def test_schema_and_command_line_know_them
    assert_includes JSON.generate(EarnestFold::Documents::Schema.to_h), "loop_spacing"
    get "/jobs/#{looped.id}/job.fold.json"
    told, status = Open3.capture2e("ruby", "bin/earnest-fold", "reckon", "-", stdin_data: last_response.body)
    assert_predicate status, :success?, told
    assert_operator JSON.parse(told)["treatments"].values.first["curtains"].first["heading"]["loops"], :>, 1
  end

  def test_the_method_is_chosen_and_is_the_order_of_work
    save(office, "cloth", "method" => "top_down")
    get station(office, "cloth")
    assert_match(/from the top down/, text)
    get station(office, "making")
    assert_operator text.index("Measure the drop"), :<, text.index("Press the hem")
  end

  private

  def looped
    save(office, "heading", "heading.kind" => "ribbon_loop")
    office
  end
end
