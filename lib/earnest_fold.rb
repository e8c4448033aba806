# frozen_string_literal: true

# Whatever the machine's locale says, the files here and what people type are UTF-8.
Encoding.default_external = Encoding::UTF_8

require "zeitwerk"
require_relative "earnest_fold/reckoning"

# Earnest Fold, the reckoner of a curtain workroom. The core is required file by file; the rooms around it are loaded
# by name.
module EarnestFold
  LOADER = Zeitwerk::Loader.for_gem(warn_on_extra_files: false)
  LOADER.ignore(
    "#{__dir__}/earnest_fold/reckoning.rb",
    "#{__dir__}/earnest_fold/reckoning",
    "#{__dir__}/earnest_fold/documents/photograph"
  )
  # What names the rooms of the web stands apart from what they name.
  LOADER.collapse("#{__dir__}/earnest_fold/web/server")
  LOADER.setup

  # @return [String] the language that this process speaks ({Words::Locale})
  def self.locale = ENV.fetch("EARNEST_FOLD_LOCALE", "en")

  # @return [String] the application's folder
  def self.root = File.expand_path("..", __dir__)
end
