# frozen_string_literal: true

source "https://rubygems.org"

gem "css_parser", "~> 1.21"
gem "csv", "~> 3.3"
gem "erubi", "~> 1.13"
gem "i18n", "~> 1.14"
gem "json_schemer", "~> 2.5"
gem "pg", "~> 1.5.9"
gem "prawn", "~> 2.5"
gem "prawn-svg", "~> 0.40"
gem "prawn-table", "~> 0.2"
gem "puma", "~> 8.0"
gem "rack-session", "~> 2.1"
gem "rackup", "~> 2.3"
gem "sequel", "~> 5.110"
gem "sequel_pg", "~> 1.20"
gem "sinatra", "~> 4.2"
gem "zeitwerk", "~> 2.6.18"

group :test do
  gem "afm", "~> 0.2.2"
  gem "axe-core-api", "~> 4.11"
  gem "capybara", "~> 3.40"
  gem "highs", "~> 0.2"
  gem "minitest", "~> 5.27"
  gem "pdf-reader", "~> 2.12"
  gem "prop_check", "~> 1.0"
  gem "rack-test", "~> 2.2"
  gem "selenium-webdriver", "~> 4.32"
  gem "standard", "~> 1.57"
end
