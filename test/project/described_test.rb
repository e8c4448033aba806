# frozen_string_literal: true

require "test_helper"

EarnestFold::LOADER.eager_load

# Whoever calls a public method finds above it what it is, or above what it stands for: a kind's answers are described
# once, at the contract. In the core there stands an example with it (ExamplesTest runs them), but for what is marked
# as the core's own.
class DescribedTest < EarnestFoldTest
  ROOMS = %w[reckoning adapters background documents drawings store words work].freeze
  # Ruby's own: what they do is known.
  KNOWN = %i[initialize included inherited extended].freeze
  NAME = Module.instance_method(:name)
  PRIVATE = /^ +# @api private\n +(?:class |module )?([A-Z]\w+)/
  CONTRACT = /\A\s*# @!method (?<name>[\w?!=]+)/

  def test_every_public_method_says_what_it_is
    assert_empty everybody.flat_map { |house| without(house) { |name| described?(house, name) } }.uniq.sort
  end

  def test_every_public_method_of_the_core_has_an_example
    ours = everybody.reject { |house| (house.inspect.scan(/\w+/) & innards).any? }
    assert_operator innards.size, :>, 20
    assert_empty ours.flat_map { |house| without(house) { |name| exemplified?(house, name) } }.uniq.sort
  end

  private

  def files = @files ||= ROOMS.flat_map { |room| Dir[root("lib/earnest_fold", room, "**/*.rb")] }

  def lines = @lines ||= Hash.new { |read, file| read[file] = File.readlines(file, chomp: true) }

  # Every class and module of the house, with its own methods beside those of what is made of it.
  def everybody
    ours = ObjectSpace.each_object(Module).select { |house| NAME.bind_call(house)&.start_with?("EarnestFold::") }
    ours + ours.map(&:singleton_class)
  end

  # The public methods that it has been asked for and doesn't have.
  def without(house)
    house
      .public_instance_methods(false)
      .reject { |name| KNOWN.include?(name) || yield(name) }
      .map { |name| house.instance_method(name).source_location.join(":").delete_prefix(root("")) }
  end

  # What Ruby asks of any object is known by its name.
  def exemplified?(house, name)
    method = house.instance_method(name)
    return true if Object.method_defined?(name) || !written_here?(method)
    return true unless method.source_location.first.start_with?(root("lib/earnest_fold/reckoning"))

    ([house] + house.ancestors).any? { |whose| shows?(whose, name) }
  end

  def shows?(house, name)
    return false unless house.public_method_defined?(name, false) || contracts.key?(NAME.bind_call(house))

    contracts.fetch(NAME.bind_call(house), []).include?(name) ||
      comment(house.instance_method(name)).any? { |line| line.match?(/# => |@api private/) }
  rescue NameError
    false
  end

  def innards = @innards ||= files.flat_map { |file| lines[file].join("\n").scan(PRIVATE).flatten }

  # The lines of words above it.
  def comment(method)
    file, line = method.source_location
    return [] unless file && File.file?(file)

    lines[file].first(line - 1).reverse.take_while { |one| one.match?(/\A\s*#/) }
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
