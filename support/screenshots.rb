# frozen_string_literal: true

# Takes the pictures of docs/screenshots from a running application with the demo house: bin/start, then
#   bundle exec ruby support/screenshots.rb [FOLDER] [NAME …]
require "fileutils"
require_relative "../test/system/browser"

ADDRESS = ENV.fetch("ADDRESS", "http://127.0.0.1:4180")
folder, *wanted = ARGV
folder ||= File.expand_path("../docs/screenshots", __dir__)
FileUtils.mkdir_p(folder)

Browser.register
Capybara.enable_aria_label = true
session = Capybara::Session.new(:chromium)
session.visit("#{ADDRESS}/me/sign-in")
session.click_button("Ida Marram", match: :first)
session.assert_current_path("/today")
jobs = lambda { |title, station = nil|
  session.visit("#{ADDRESS}/jobs")
  session.click_link(title, match: :first)
  session.find(".stages a", text: station, match: :first).click if station
}
PICTURES = {
  "reckon" => [1280, 800, lambda { |page|
    figures = {"support.length" => 248, "return_left" => 7, "return_right" => 7, "overlap" => 8,
               "drop.readings.left" => 229, "cloth.width" => 138, "cloth.selvedge" => 1, "cloth.vertical_repeat" => 64,
               "cloth.price" => "31.50", "unit" => "cm"}
    page.visit("#{ADDRESS}/reckon?#{URI.encode_www_form(figures)}")
    page.has_selector?(".near-figure")
  }],
  "today" => [1280, 800, ->(page) { page.visit("#{ADDRESS}/today") }],
  "job" => [1280, 800, ->(_) { jobs.call("Residents' lounge") }],
  "measure" => [1280, 800, ->(_) { jobs.call("Residents' lounge", "Measure") }],
  "measure-phone" => [390, 844, ->(_) { jobs.call("Ticket office", "Measure") }],
  "heading" => [1280, 800, ->(_) { jobs.call("Ticket office", "Heading") }],
  "cloth" => [1280, 800, ->(_) { jobs.call("Residents' lounge", "Cloth") }],
  "cloth-page" => [1280, 800, lambda { |page|
    page.visit("#{ADDRESS}/cloths")
    page.click_link("Reedbed linen union")
  }],
  "house-rules" => [1280, 800, ->(page) { page.visit("#{ADDRESS}/house-rules") }],
  "cutting" => [1280, 800, ->(_) { jobs.call("Residents' lounge", "Cutting") }],
  "customer" => [1280, 800, lambda { |page|
    page.visit("#{ADDRESS}/customers")
    page.click_link("Wenna Tern")
  }],
  "buying" => [1280, 1000, lambda { |page|
    jobs.call("Upper landing", "Cutting")
    page.click_link("Buy it", match: :first)
    asked = lambda { |button|
      page.click_button(button, match: :first)
      page.has_text?("It is being asked")
      page.refresh
    }
    asked.call("Ask what there is") until page.has_select?("It is there", wait: 3)
    page.select("Towpath ticking · 54 in", from: "It is there")
    asked.call("It is this one")
    page.refresh until page.has_button?("Order of batch: A03", wait: 3)
    page.click_button("Order of batch: A03")
    page.refresh until page.has_button?("Ask how it stands", wait: 3)
    asked.call("Ask how it stands") while page.has_button?("Ask how it stands", wait: 3)
  }],
  "table" => [1280, 800, lambda { |page|
    jobs.call("Residents' lounge", "Cutting")
    page.click_button("Take this plan to the table", match: :first)
    page.click_button("It is cut")
    page.has_selector?(".table-head p", text: "1 of 8 cut")
  }],
  "making" => [1280, 800, ->(_) { jobs.call("Residents' lounge", "Making") }],
  "bench" => [1280, 800, lambda { |page|
    jobs.call("Residents' lounge", "Making")
    page.click_link("Press the hem", match: :first)
  }],
  "hanging" => [1280, 800, ->(_) { jobs.call("Residents' lounge", "Hanging") }],
  "alter" => [1280, 800, ->(_) { jobs.call("Ferry chapel", "Alter") }],
  "account" => [1280, 800, lambda { |page|
    page.visit("#{ADDRESS}/jobs")
    page.click_link("Residents' lounge", match: :first)
    page.find(".stages a", text: "Account", match: :first).click
  }],
  "diary" => [1280, 800, lambda { |page|
    page.visit("#{ADDRESS}/diary")
    page.click_link("the week after")
  }]
}.freeze

(wanted.empty? ? PICTURES.keys : wanted).each do |name|
  width, height, go = PICTURES.fetch(name)
  Browser.size(session, width, height)
  go.call(session)
  session.save_screenshot(File.join(folder, "#{name}.png"))
  puts name
end
session.quit
