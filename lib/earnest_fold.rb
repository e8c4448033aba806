# frozen_string_literal: true

require "zeitwerk"
require_relative "earnest_fold/reckoning"

# Earnest Fold, the reckoner of a curtain workroom. The core is required file by file; the rooms around it are loaded by name.
module EarnestFold
  LOADER = Zeitwerk::Loader.for_gem(warn_on_extra_files: false)
  LOADER.ignore("#{__dir__}/earnest_fold/reckoning.rb", "#{__dir__}/earnest_fold/reckoning")
  LOADER.setup

  # @return [String] the application's folder
  def self.root = File.expand_path("..", __dir__)
end
