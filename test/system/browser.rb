# frozen_string_literal: true

require "capybara"
require "selenium-webdriver"
require_relative "../../support/free_port"
require_relative "accessibility"

# How the tests ask for memory (support/memory.sh) isn't how a browser does.
ENV.delete("LD_PRELOAD")

# Headless Chromium as the browser tests and the pictures use it: nothing looked up, nothing downloaded. It is the one
# without windows and bars to draw, at a quarter less of the machine's time, and all pages are the same site's; it sets
# words as wide as people's browsers do where it is told to.
module Browser
  # The program itself: what Debian starts it by stays behind it, and would be all that is ended.
  PROGRAM = "/usr/lib/chromium/chromium-headless-shell"
  ARGUMENTS = %w[--headless --no-sandbox --disable-gpu --disable-dev-shm-usage --window-size=1280,800
    --hide-scrollbars --force-device-scale-factor=1 --force-prefers-reduced-motion --no-first-run
    --no-default-browser-check --disable-background-networking --disable-component-update --disable-sync --disable-quic
    --disable-extensions --disable-default-apps --metrics-recording-only --font-render-hinting=none
    --log-file=/dev/null --process-per-site --disable-site-isolation-trials].freeze
  LOOPBACK_ONLY = "--host-resolver-rules=MAP * ~NOTFOUND , EXCLUDE 127.0.0.1 , EXCLUDE localhost"

  # A page that leaves while it is looked at is looked at again, as one that was renewed is.
  class Driver < Capybara::Selenium::Driver
    def invalid_element_errors = super + [::Selenium::WebDriver::Error::UnknownError]
  end

  module_function

  # Makes the driver known to Capybara under :chromium.
  def register
    Capybara.register_driver(:chromium) do |app|
      options = Selenium::WebDriver::Chrome::Options.new(
        binary: PROGRAM,
        args: [*ARGUMENTS, LOOPBACK_ONLY]
      )
      options.add_option("goog:loggingPrefs", {browser: "ALL"})
      service = Selenium::WebDriver::Service.chrome(path: "/usr/bin/chromedriver")
      Driver.new(app, browser: :chrome, options: options, service: service)
    end
  end

  OPENED = {}.compare_by_identity

  # What the browser opens from now on: each application at a port of its own.
  # @param app [#call]
  def opens(app)
    Capybara.app, Capybara.server_port = OPENED[app] ||= [Accessibility.beside(app), FreePort.find]
  end

  # @param session [Capybara::Session]
  def size(session, width, height)
    session.driver.browser.execute_cdp(
      "Emulation.setDeviceMetricsOverride",
      width: width,
      height: height,
      deviceScaleFactor: 1,
      mobile: width < 600
    )
  end
end
