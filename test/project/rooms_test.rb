# frozen_string_literal: true

require "test_helper"
require "ripper"

# The rooms of the house: which may name which, and what must stay outside.
class RoomsTest < EarnestFoldTest
  # Words is a small room of its own: what every outer room says to people.
  MAY_NAME = {
    "reckoning" => [],
    "words" => %w[reckoning],
    "drawings" => %w[reckoning words],
    "documents" => %w[work drawings reckoning words],
    "store" => %w[reckoning],
    "work" => %w[store reckoning],
    "web" => %w[adapters work documents drawings store reckoning words],
    "adapters" => [],
    "background" => %w[adapters work documents store reckoning words],
    "command_line" => %w[documents reckoning words]
  }.freeze
  ROOMS = {
    "Reckoning" => "reckoning",
    "Words" => "words",
    "Drawings" => "drawings",
    "Documents" => "documents",
    "Store" => "store",
    "Work" => "work",
    "Web" => "web",
    "Adapters" => "adapters",
    "Background" => "background",
    "CommandLine" => "command_line"
  }.freeze
  # The core's subjects: each may name those before it, and none after it. Checks look at a reckoning without naming
  # it; `house` composes, and nothing names it.
  SUBJECTS = %w[values fields window cloth tapes headings/layout headings checks small_parts treatments methods
    alterations making_up account diary cutting jobs judgement house].freeze
  DEFINED = /^ +(?:class|module) ([A-Z]\w+)|^ +([A-Z]\w+) = (?:\w+::)*(?:Value\.define|Struct\.new)/
  # Outside things, and the rooms that may know them.
  STRANGERS = {
    "Sinatra" => %w[web],
    "Sequel" => %w[store],
    "Que" => %w[store background],
    "Rack" => %w[web],
    "ERB" => %w[web],
    "ENV" => %w[web adapters],
    "Mail" => %w[adapters documents],
    "Net" => %w[adapters],
    "Time" => %w[web work store],
    "Float" => %w[documents drawings reckoning],
    "Random" => [],
    "JSON" => %w[documents command_line],
    "I18n" => %w[words]
  }.freeze

  def test_no_arrow_runs_the_wrong_way
    wrong = files.flat_map do |file|
      (constants(file) & ROOMS.keys)
        .map { |name| ROOMS[name] }
        .reject { |room| room == room_of(file) || MAY_NAME.fetch(room_of(file)).include?(room) }
        .map { |room| "#{file} names #{room}" }
    end
    assert_empty wrong
  end

  def test_the_cores_subjects_name_only_those_before_them
    homes = homes_in_core
    wrong = homes.values.uniq.flat_map do |file|
      (constants(file) & homes.keys).filter_map do |name|
        "#{file} names #{name} of #{homes[name]}" if subject(homes[name]) > subject(file)
      end
    end
    assert_empty wrong
  end

  def test_no_two_folders_name_each_other
    homes = homes_of(files)
    arrows = files.flat_map do |file|
      (constants(file) & homes.keys).map { |name| [folder_of(file), folder_of(homes[name])] }
    end
    assert_empty arrows.uniq.select { |from, to| from < to && arrows.include?([to, from]) }
  end

  # What is marked `@api private` is how something is done inside a folder: only there, and in the folder that it stands
  # in, is it named.
  PRIVATE = /^ +# @api private\n +(?:class|module) ([A-Z]\w+)|^ +# @api private\n +([A-Z]\w+) = /

  def test_what_is_private_is_named_where_it_belongs
    homes = homes_of(files)
    innards = files.flat_map do |file|
      File.read(root("lib/earnest_fold", file)).scan(PRIVATE).map { |pair| pair.compact.first }
    end
    innards &= homes.keys
    assert_operator innards.size, :>, 20
    wrong = files.flat_map do |file|
      (constants(file) & innards)
        .reject { |name| near?(folder_of(file), folder_of(homes[name])) }
        .map { |name| "#{file} names #{name}" }
    end
    assert_empty wrong
  end

  # Within a room, and a subject of the core, a word means one thing. What stands here is the same thing each time:
  # what the class of a kind answers, the rules of a subject, the row of a table.
  SAME_THING = %w[Kind Rules Row Error Plan DemoHouse].freeze

  def test_a_word_means_one_thing
    defined = files.flat_map do |file|
      File.read(root("lib/earnest_fold", file)).scan(DEFINED).map { |pair| [[room_of(file), pair.compact.first], file] }
    end
    twice = defined.group_by(&:first).transform_values { |found| found.map(&:last).uniq }
    wrong = twice.select do |(room, word), where|
      where.size > 1 && !modules_of_rooms.include?(word) && !SAME_THING.include?(word) && !of_the_web?(room, where)
    end
    assert_empty wrong
  end

  # What a kind of heading or alteration is, it says itself: nobody asks for its class.
  def test_kinds_are_named_in_their_own_folder_alone
    kinds = [EarnestFold::Reckoning::Headings, EarnestFold::Reckoning::Alterations].flat_map(&:to_a)
    names = kinds.map { |kind| kind.name.split("::").last }
    outside = files.reject { |file| file.match?(%r{\Areckoning/(headings|alterations)/}) }
    assert_empty outside.flat_map { |file| (constants(file) & names).map { |name| "#{file} names #{name}" } }
  end

  def test_outside_things_stay_in_their_rooms
    wrong = files.flat_map do |file|
      (constants(file) & STRANGERS.keys)
        .reject { |name| STRANGERS[name].include?(room_of(file)) }
        .map { |name| "#{file} names #{name}" }
    end
    assert_empty wrong
  end

  def test_the_core_has_no_floats
    floats =
      files
        .select { |file| room_of(file) == "reckoning" }
        .select do |file|
          Ripper
            .lex(File.read(root("lib/earnest_fold", file)))
            .any? { |_, kind, text| kind == :on_float || (kind == :on_ident && text == "to_f") }
        end
    assert_empty floats
  end

  def test_the_core_loads_without_gems
    script = "require 'earnest_fold/reckoning'; exit EarnestFold::Reckoning::Headings.names.size >= 10"
    assert system(
      {"RUBYOPT" => nil, "BUNDLE_GEMFILE" => nil},
      "ruby",
      "--disable-gems",
      "-I#{root("lib")}",
      "-e",
      script
    )
  end

  def test_every_core_value_is_frozen
    classes = EarnestFold::Reckoning.constants.map { |name| EarnestFold::Reckoning.const_get(name) }.grep(Module)
    assert_operator classes.size, :>, 40
    assert_predicate EarnestFold::Reckoning::Headings, :frozen?
    assert_predicate EarnestFold::Reckoning::Checks::Kinds, :frozen?
  end

  private

  def files = Dir[root("lib/earnest_fold/**/*.rb")].map { |file| file.delete_prefix("#{root("lib/earnest_fold")}/") }

  def near?(folder, home) = folder.start_with?(home) || folder == File.dirname(home)

  # Where each thing of the core is defined; what two subjects call by one name is left out.
  def homes_in_core = homes_of(files.select { |file| file.start_with?("reckoning/") }) { |file| subject(file) }

  # @yieldreturn [Object] the part of the house that a file is of; a name that two parts have is left out
  # @return [Hash{String => String}] files by constant
  def homes_of(some, &part)
    part ||= method(:folder_of)
    all = some.flat_map do |file|
      File.read(root("lib/earnest_fold", file)).scan(DEFINED).map { |pair| [pair.compact.first, file] }
    end
    all.group_by(&:first).transform_values { |found| found.map(&:last).uniq }
      .select { |_, where| where.map(&part).uniq.one? }.transform_values(&:first)
  end

  # @return [Integer] where a file's subject stands among the core's
  def subject(file)
    inside = file.delete_prefix("reckoning/").delete_suffix(".rb")
    SUBJECTS.index(SUBJECTS.select { |name| inside == name || inside.start_with?("#{name}/") }.max_by(&:size))
  end

  # A module that is only the room or folder it stands for.
  def modules_of_rooms =
    files.flat_map { |file| file.delete_suffix(".rb").split("/") }.uniq
      .map { |part| part.split("_").map(&:capitalize).join }

  # A handler, a form and a screen of the same thing are called alike.
  def of_the_web?(room, where) =
    room == "web" && where.map { |file| File.dirname(file) }.uniq.size == where.size

  # A front file is of the folder that it is the contract of.
  def folder_of(file)
    behind = file.delete_suffix(".rb")
    File.directory?(root("lib/earnest_fold", behind)) ? behind : File.dirname(file)
  end

  def room_of(file) = file.split("/").first.delete_suffix(".rb")

  # Read once for all of these tests. A module's own name is no reference.
  NAMED = Hash.new do |named, file|
    tokens = Ripper.lex(File.read(File.join(ROOT, "lib/earnest_fold", file))).reject { |_, kind, _| kind == :on_sp }
    named[file] = [nil, *tokens].each_cons(2).filter_map do |before, (_, kind, text)|
      text if kind == :on_const && !%w[module class].include?(before&.at(2))
    end.uniq
  end

  def constants(file) = NAMED[file]
end
