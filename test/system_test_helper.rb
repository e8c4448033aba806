# frozen_string_literal: true

require "store_test_helper"
require_relative "../support/puma_buffers"
require "capybara/minitest"
require "system/browser"

EarnestFold::LOADER.eager_load
Browser.register
Capybara.server = :puma, {Silent: true, Threads: "1:4", config_files: ["-"]}
Capybara.default_driver = :chromium
Capybara.default_max_wait_time = 10
# A machine that is asked a hundred times a second answers later.
Capybara.default_retry_interval = 0.05
Capybara.enable_aria_label = true

# A test in the real browser, with the demo house. What the line or the house refuses is no complaint of the page's own.
class SystemTest < EarnestFoldTest
  include HiddenFaults
  include Capybara::DSL
  include Capybara::Minitest::Assertions
  extend Walks.tests(1/2r)

  S = EarnestFold::Store
  # Who signs in by hand has a test of their own.
  APP = ->(env) { EarnestFold::Web::App.call(env.merge(SignedIn::KEY => SignedIn.owner)) }
  Browser.opens(APP)

  def setup
    [:papers, :paper_numbers, :jobs, :customers, :cloths].each { |table| workroom.rows(table).delete }
    S::DemoHouse.new(workroom).load
    Browser.size(page, 1280, 800)
  end

  def teardown
    complaints =
      page
        .driver
        .browser
        .logs
        .get(:browser)
        .reject { |entry| entry.message.match?(/status of (4\d\d|5\d\d)|net::ERR_/) }
    Capybara.reset_sessions!
    assert_empty complaints.map(&:message)
  end

  private

  def kept_until_the_end? = true

  def workroom = S.workroom

  # Types into a field as a person does: the change is sent when the field is left.
  def type(label, text)
    fill_in(label, with: text, fill_options: {clear: :backspace})
    find_field(label).send_keys(:tab)
  end

  # Opens what is folded away under these words, where it isn't open.
  def unfold(words)
    summary = find("summary", text: words)
    summary.click unless summary.find(:xpath, "..")[:open] == "true"
  end

  # Everything that was typed and said here is taken.
  def assert_settled = assert_selector("#journal[data-waiting='0']", visible: :all)

  def figure(name) = find("[data-shows=#{name}]", match: :first).find("b").text

  def assert_figure(name, wanted) = assert_selector("[data-shows=#{name}] b", text: wanted, match: :first)

  def working(label) = find(".working li", text: label, match: :first).find("b").text

  # A station of the first window of a job.
  def go(title, station)
    job = workroom.jobs.find(workroom.jobs.list.find { |line| line.title == title }.id)
    visit "/jobs/#{job.id}/treatments/#{job.treatments.first.id}/#{station.downcase}"
    assert_selector ".tape a[aria-current]", text: station
  end

  # @param latency [Integer] milliseconds of line
  def slow(latency)
    page.driver.browser.execute_cdp("Network.enable")
    page.driver.browser.execute_cdp(
      "Network.emulateNetworkConditions",
      offline: false,
      latency: latency,
      downloadThroughput: -1,
      uploadThroughput: -1
    )
  end

  # What the accessibility rules find on this page.
  def findings = Accessibility.findings(page)

  def assert_accessible = assert_empty(findings)
end
