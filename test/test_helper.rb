# frozen_string_literal: true

require "minitest/autorun"
require "json"
require "earnest_fold"

# What the tests of every room share.
class EarnestFoldTest < Minitest::Test
  ROOT = File.expand_path("..", __dir__)

  private

  def root(*path) = File.join(ROOT, *path)
end
