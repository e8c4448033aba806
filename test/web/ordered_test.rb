# frozen_string_literal: true

require "web_test_helper"

# A shop's order through the stations: a width, a drop and a cloth, and no window measured.
class OrderedStationsTest < WebTest
  def test_an_order_alone_reaches_every_station
    id = workroom.jobs.create(title: "Shop", unit: "cm")
    send_form("/jobs/#{id}/windows", "room" => "Shop", "name" => "Order 7")
    @job = id
    save(order, "measure", "support.length" => "", "ordered.finished_width" => "104", "ordered.finished_drop" => "212")
    cloth = workroom.cloths.all.find { |one| one.spec["use"] == "face" }.id.to_s
    save(order, "cloth", "face" => cloth)
    work = "/jobs/#{id}/treatments/#{order.treatments.first.id}"
    %w[measure heading cloth cutting making hanging bench work-order.pdf hanging-sheet.pdf].each do |page|
      get "#{work}/#{page}"
      assert_equal 200, last_response.status, page
    end
    get "#{work}/measure"
    assert_match(/104\.0.*212\.0/, text)
    get "#{work}/hanging"
    refute_match(/least drop as measured/, text)
    get "/jobs/#{id}/account"
    assert_equal 200, last_response.status
  end

  def test_what_the_rules_make_stands_beside_and_can_be_made_as_ordered
    save(office, "measure", "ordered.widths" => "3", "ordered.cut_length" => "250")
    get station(office, "measure")
    assert_match(/cut length 250\.0 [\d.]+/, text)
    assert_match(/make it as ordered/, text)
    save(office, "measure", "making.widths" => "3")
    assert_equal 3, Integer(office.treatments.first.spec.dig("making", "widths"), 10)
    get station(office, "measure")
    refute_match(/make it as ordered/, text)
    assert_match(/agrees/, text)
  end

  private

  def order = workroom.jobs.find(@job)
end
