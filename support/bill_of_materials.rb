# frozen_string_literal: true

# What this is made of, as a software bill of materials (CycloneDX), from the lock file and what is shipped beside it:
#   bundle exec ruby support/bill_of_materials.rb
require "bundler"
require "json"

ROOT = File.expand_path("..", __dir__) unless defined?(ROOT)

# The bill, always in the same order: it changes when what it is made of does.
module BillOfMaterials
  FILE = File.join(ROOT, "docs", "sbom.cdx.json")
  # What is built or shipped from there: scripts, fonts and the styles' builder.
  PACKAGES = File.join(ROOT, "package.json")

  module_function

  # @return [String] JSON
  def text
    "#{JSON.pretty_generate(
      "bomFormat" => "CycloneDX",
      "specVersion" => "1.5",
      "version" => 1,
      "metadata" => {"component" => {"type" => "application", "name" => "earnest-fold"}},
      "components" => gems + packages
    )}\n"
  end

  # @return [Array<Hash>] with those that the tests alone need
  def gems
    specs = Bundler::LockfileParser.new(File.read(File.join(ROOT, "Gemfile.lock"))).specs
    specs.sort_by(&:name).uniq(&:name).map { |spec| component(spec.name, spec.version.to_s, "gem") }
  end

  # @return [Array<Hash>]
  def packages
    named = JSON.parse(File.read(PACKAGES)).values_at("dependencies", "devDependencies").compact.reduce({}, :merge)
    named.sort.map { |name, version| component(name, version, "npm") }
  end

  def component(name, version, kind)
    {"type" => "library", "name" => name, "version" => version, "purl" => "pkg:#{kind}/#{name}@#{version}"}
  end
end

File.write(BillOfMaterials::FILE, BillOfMaterials.text) if $PROGRAM_NAME == __FILE__
