# frozen_string_literal: true

require "store_test_helper"
require "places_of_their_own"
require File.expand_path("../../support/copies", __dir__)

# A copy of everything and an empty place filled from it, by the commands that people use, in databases of their own.
class CopiesTest < EarnestFoldTest
  extend Walks.tests(3/5r)

  include PlacesOfTheirOwn

  S = EarnestFold::Store
  PLACES = %w[copies_from copies_to].freeze
  # The whole demo house, made once: PostgreSQL copies it faster than it is furnished.
  FURNISHED = "copies_furnished"
  FURNISH = <<~RUBY
    require "earnest_fold"
    EarnestFold::Store.connect(ENV.fetch("DATABASE_URL"))
    EarnestFold::Store.migrate
    EarnestFold::Store::DemoHouse.new(EarnestFold::Store.workroom).load(whole: true)
  RUBY

  class << self
    attr_accessor :furnished
  end

  def test_an_empty_place_is_filled_with_everything
    filled("copies_from")
    told, status = run_copy("copies_from", "backup", file("a.copy"))
    assert status.success?, told
    assert_equal 0o600, File.stat(file("a.copy")).mode & 0o777
    told, status = run_copy("copies_to", "restore", file("a.copy"))
    assert status.success?, told
    assert_match(/12 jobs, 25 works reckoned as they were/, told)
    told, status = run_copy("copies_to", "backup", file("b.copy"))
    assert status.success?, told
    assert_equal(*%w[a.copy b.copy].map { |name| manifest(file(name)).slice("counts", "figures") })
    told, status = run_copy("copies_to", "restore", file("a.copy"))
    refute status.success?
    assert_match(/something here already/, told)
  end

  def test_a_sealed_copy_opens_with_its_passphrase_alone
    filled("copies_from")
    assert run_copy("copies_from", "backup", file("s.copy"), "COPY_PASSPHRASE" => "marsh samphire").last.success?
    refute_includes File.binread(file("s.copy")), "manifest.json"
    {nil => /sealed: give its passphrase/, "another" => /passphrase is another/}.each do |passphrase, said|
      told, status = run_copy("copies_to", "restore", file("s.copy"), "COPY_PASSPHRASE" => passphrase)
      refute status.success?
      assert_match(said, told)
    end
    changed = File.binread(file("s.copy")).tap { |bytes| bytes.setbyte(bytes.bytesize / 2, bytes.getbyte(0) ^ 77) }
    File.binwrite(file("changed.copy"), changed)
    sealed = {"COPY_PASSPHRASE" => "marsh samphire"}
    assert_match(/copy was changed/, run_copy("copies_to", "restore", file("changed.copy"), sealed).first)
    told, status = run_copy("copies_to", "restore", file("s.copy"), sealed)
    assert status.success?, told
  end

  def test_what_is_no_copy_is_told_and_nothing_is_touched
    File.write(file("text.copy"), "not a copy at all")
    assert_match(/is no copy of Earnest Fold/, run_copy("copies_to", "restore", file("text.copy")).first)
    assert_match(/There is no file/, run_copy("copies_to", "restore", file("none.copy")).first)
    filled("copies_from")
    assert run_copy("copies_from", "backup", file("a.copy")).last.success?
    cut = File.binread(file("a.copy"))
    File.binwrite(file("cut.copy"), cut[0, cut.bytesize - 5000])
    told, status = run_copy("copies_to", "restore", file("cut.copy"))
    refute status.success?
    assert_match(/isn't whole/, told)
    told, status = run_copy("copies_from", "backup", file("a.copy"))
    refute status.success?
    assert_match(/is there already/, told)
  end

  def test_the_nights_copy_is_due_once_a_night
    at = ->(day, hour) { Time.new(2026, 3, day, hour, 0, 0, "+01:00") }
    assert Copies.due?(nil, at[2, 12])
    assert Copies.due?(at[1, 12], at[2, 4])
    refute Copies.due?(at[2, 3], at[2, 23])
    refute Copies.due?(at[1, 4], at[2, 2])
  end

  def test_older_copies_are_thinned
    now = Time.utc(2026, 3, 31, 12)
    400.times do |days|
      path = file("#{days}.copy")
      File.write(path, "")
      File.utime(now - days * 86_400, now - days * 86_400, path)
    end
    Copies.thin(@folder)
    left = Dir[file("*.copy")].map { |path| File.basename(path, ".copy").to_i }.sort
    assert_equal (0..6).to_a, left.first(7)
    assert_operator left.size, :<=, Copies::LEFT.values.sum
    assert_operator left.max, :>, 300
    assert_empty Copies.thin(@folder)
  end

  private

  def run_copy(place, what, file, environment = {}) =
    Open3.capture2e({"DATABASE_URL" => url(place), **environment}, RbConfig.ruby, root("support/copy.rb"), what, file)

  def filled(place)
    self.class.furnished ||= furnish
    S.db.run("DROP DATABASE #{place}")
    S.db.run("CREATE DATABASE #{place} TEMPLATE #{FURNISHED}")
  end

  def furnish
    dropped = "DROP DATABASE IF EXISTS #{FURNISHED}"
    Minitest.after_run { S.db.run(dropped) }
    [dropped, "CREATE DATABASE #{FURNISHED}"].each { |command| S.db.run(command) }
    command = [RbConfig.ruby, "-Ilib", "-e", FURNISH]
    told, status = Open3.capture2e({"DATABASE_URL" => url(FURNISHED)}, *command, chdir: ROOT)
    assert status.success?, told
    true
  end

  def manifest(path) =
    File.open(path, "rb") do |from|
      entries = Gem::Package::TarReader.new(from).each
      JSON.parse(entries.find { |entry| entry.full_name == "manifest.json" }.read)
    end
end
