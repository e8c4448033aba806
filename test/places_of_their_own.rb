# frozen_string_literal: true

require "fileutils"
require "open3"
require "tmpdir"
require "uri"

# Databases and a folder of a test's own, for commands that people use. Who includes it names its `PLACES`.
module PlacesOfTheirOwn
  def setup
    @folder = Dir.mktmpdir("places")
    self.class::PLACES.each { |name| EarnestFold::Store.db.run("CREATE DATABASE #{name}") }
  end

  def teardown
    self.class::PLACES.each { |name| EarnestFold::Store.db.run("DROP DATABASE IF EXISTS #{name} WITH (FORCE)") }
    FileUtils.remove_entry(@folder)
  end

  private

  def file(name) = File.join(@folder, name)

  def url(name) = URI.parse(ENV.fetch("DATABASE_URL")).tap { |address| address.path = "/#{name}" }.to_s
end
