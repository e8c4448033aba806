# frozen_string_literal: true

require "test_helper"
require "fileutils"
require "open3"
require "tmpdir"
require "yaml"

# A kind is one file: a heading, an alteration, a check, a station and a method that nobody else knows, each added as
# one file with its words, go through every page, paper, schema and command line of a copy of the house.
class ThrowAwayTest < EarnestFoldTest
  COPIED = %w[assets bin config db lib public schema support test].freeze
  ADDED = "test/project/throw_away"
  # The least and the most of them, in every sort of window.
  KINDS = /ribbon_loop_the_\w+_up_the_drop_cm|take_in_the/

  def test_one_file_each_is_enough
    Dir.mktmpdir do |house|
      COPIED.each { |part| FileUtils.cp_r(root(part), house) }
      Dir[root(ADDED, "*/**/*.rb")].each { |file| add(file, house) }
      say_more(File.join(house, "config/locales/en.yml"))
      done_in(house, "support/schema.rb")
      run_tests(house, "#{ADDED}/walk.rb")
      run_tests(house, "test/sweep/sweep_test.rb", "--name=/#{KINDS.source}/", "SWEEP" => "whole")
    end
  end

  private

  def add(file, house) =
    FileUtils.cp(file, File.join(house, "lib/earnest_fold", file.delete_prefix("#{root(ADDED)}/")))

  def say_more(locale)
    words = YAML.load_file(locale, aliases: true)
    more = {"en" => YAML.load_file(root(ADDED, "words.yml"))}
    File.write(locale, YAML.dump(merged(words, more)))
  end

  def merged(one, other) = one.merge(other) { |_, old, new| old.is_a?(Hash) ? merged(old, new) : new }

  def run_tests(house, file, *options, **environment)
    told = done_in(house, file, *options, **environment)
    assert_match(/[1-9]\d* runs/, told)
  end

  def done_in(house, file, *options, **environment)
    command = ["ruby", "-Ilib", "-Itest", file, *options]
    told, status = Open3.capture2e(environment.transform_keys(&:to_s).merge("TESTOPTS" => nil), *command, chdir: house)
    assert status.success?, -> { told.lines.last(60).join }
    told
  end
end
