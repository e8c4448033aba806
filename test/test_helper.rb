# frozen_string_literal: true

require "minitest/autorun"
require "json"
require "earnest_fold"
require "walks"

# What the tests of every room share.
class EarnestFoldTest < Minitest::Test
  ROOT = File.expand_path("..", __dir__)

  private

  def root(*path) = File.join(ROOT, *path)

  # What an owner says otherwise, for as long as the block takes.
  def with_constants(owner, **values)
    before = values.to_h { |name, _| [name, owner.const_get(name)] }
    said(owner, values)
    yield
  ensure
    said(owner, before)
  end

  def said(owner, values)
    values.each do |name, value|
      owner.send(:remove_const, name)
      owner.const_set(name, value)
    end
  end
end
