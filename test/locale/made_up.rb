# frozen_string_literal: true

require "yaml"

# A locale that no land has: every letter of the English one stands for another, so that whatever is still in English
# on a page didn't come from the locale.
module MadeUp
  LETTERS = [*"a".."z", *"A".."Z"].join.freeze
  SMALL = "абцдефгхийклмнопярстувшщыз"
  CAPITAL = "АБЦДЕФГХИЙКЛМНОПЯРСТУВШЩЫЗ"
  OTHERS = SMALL + CAPITAL
  # Said to the program, not to people.
  AS_THEY_ARE = %w[language numbers].freeze

  module_function

  # @param english [String] path of the English file
  # @param path [String] where the made-up one is written
  def write(english, path)
    tree = YAML.safe_load_file(english, aliases: true).fetch("en")
    made = tree.to_h { |key, value| [key, AS_THEY_ARE.include?(key) ? value : turned(value)] }
    made["numbers"] = made["numbers"].merge("decimal" => ",")
    File.write(path, YAML.dump(File.basename(path, ".yml") => made))
  end

  def turned(value)
    case value
    when Hash then value.transform_values { |inner| turned(inner) }
    when Array then value.map { |inner| turned(inner) }
    when String then parts(value).map { |part| part.match?(/\A[%<]/) ? part : spelt(part) }.join
    else value
    end
  end

  # What is filled in later, or names a key on the keyboard, apart from the words.
  def parts(text) = text.split(/(%{\w+(?:}| \?)|<\w+>)/)

  def spelt(text) = text.tr(LETTERS, OTHERS)
end
