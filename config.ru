# frozen_string_literal: true

require_relative "lib/earnest_fold"

EarnestFold::Store.connect(ENV.fetch("DATABASE_URL")) unless EarnestFold::Store.connected?
EarnestFold::LOADER.eager_load
run EarnestFold::Web::App
