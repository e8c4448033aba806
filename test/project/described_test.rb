# frozen_string_literal: true

require "test_helper"

EarnestFold::LOADER.eager_load

# Whoever calls a public method finds above it what it is, or above what it stands for: a kind's answers are described
# once, at the contract.
class DescribedTest < EarnestFoldTest
  ROOMS = %w[reckoning adapters background documents drawings store words work].freeze
  # Ruby's own: what they do is known.
  KNOWN = %i[initialize included inherited extended].freeze
  NAME = Module.instance_method(:name)
  CONTRACT = /\A\s*# @!method (?<name>[\w?!=]+)/

  def test_every_public_method_says_what_it_is
    assert_empty everybody.flat_map { |house| undescribed(house) }.uniq.sort
  end

  private

  def files = @files ||= ROOMS.flat_map { |room| Dir[root("lib/earnest_fold", room, "**/*.rb")] }

  def lines = @lines ||= Hash.new { |read, file| read[file] = File.readlines(file, chomp: true) }

  # Every class and module of the house, with its own methods beside those of what is made of it.
  def everybody
    ours = ObjectSpace.each_object(Module).select { |house| NAME.bind_call(house)&.start_with?("EarnestFold::") }
    ours + ours.map(&:singleton_class)
  end

  def undescribed(house)
    house
      .public_instance_methods(false)
      .reject { |name| KNOWN.include?(name) || described?(house, name) }
      .map { |name| house.instance_method(name).source_location.join(":").delete_prefix(root("")) }
  end

  def described?(house, name)
    method = house.instance_method(name)
    return true unless written_here?(method)

    ([house] + house.ancestors).any? { |whose| says?(whose, name) }
  end

  def says?(house, name)
    return false unless house.public_method_defined?(name, false) || contracts.key?(NAME.bind_call(house))

    contracts.fetch(NAME.bind_call(house), []).include?(name) || commented?(house.instance_method(name))
  rescue NameError
    false
  end

  # What is defined by a loop, or by Ruby itself, has no line of its own.
  def written_here?(method)
    file, line = method.source_location
    files.include?(file) && lines[file][line - 1].match?(/\A\s*def /)
  end

  def commented?(method)
    file, line = method.source_location
    file.nil? || !File.file?(file) || lines[file][line - 2].match?(/\A\s*#/)
  end

  # Methods that a contract names and leaves to its kinds.
  # @return [Hash{String => Array<Symbol>}] by the name of the contract
  def contracts
    @contracts ||= {
      "EarnestFold::Reckoning::FieldKinds::Kind" => named_in("lib/earnest_fold/reckoning/fields/field_kinds.rb")
    }
  end

  def named_in(file) = lines[root(file)].filter_map { |line| CONTRACT.match(line)&.[](:name)&.to_sym }
end
