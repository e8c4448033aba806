# frozen_string_literal: true

require "i18n"

module EarnestFold
  module Words
    # The one locale that a process speaks: EARNEST_FOLD_LOCALE names its file in `config/locales` ("en" where nothing
    # is said). A file says everything that is said to people: texts, numbers, units, names of days, and by which of
    # the rules here it counts.
    module Locale
      FOLDER = File.expand_path("../../../config/locales", __dir__)
      # How a language counts: the names of its forms as in its `one:`, `other:`, in the order in which `|` parts them
      # in a text, and which of them a number takes. What is half of one is counted as one.
      RULES = {
        "one_other" => [%i[one other], ->(number) { [1, 1/2r].include?(number) ? 0 : 1 }],
        "one_few_many" => [%i[one few many], lambda { |number|
          next 0 if number == 1

          few = number.denominator == 1 && (2..4).cover?(number % 10) && !(12..14).cover?(number % 100)
          few ? 1 : 2
        }],
        "other" => [%i[other], ->(_number) { 0 }]
      }.freeze

      module_function

      # @param name [String] a language, or the path of a file of another folder
      # @return [Hash{String => Object}] every text by its whole key, so that the common case needs no search
      # @raise [I18n::InvalidLocaleData, KeyError] where the file is none
      #
      #   Words::Locale.load("en").key?("problems.missing") # => true
      def load(name)
        file = name.end_with?(".yml") ? name : File.join(FOLDER, "#{name}.yml")
        language = File.basename(file, ".yml").to_sym
        I18n.load_path, I18n.available_locales, I18n.default_locale = [file], [language], language
        I18n::Backend::Simple.include(I18n::Backend::Pluralization)
        I18n.backend.eager_load!
        flattened(I18n.backend.translations.fetch(language)).freeze.tap { |texts| count_by(language, texts) }
      end

      # @param texts [Hash{String => Object}]
      # @return [Hash{String => String}] each text as Ruby's own format fills it: a % that opens no place is doubled
      #
      #   Words::Locale.formats("tax" => "%{percent} %") # => {"tax"=>"%{percent} %%"}
      def formats(texts) =
        texts.select { |_, text| text.is_a?(String) }.transform_values { |text| text.gsub(/%%|%(?!\{)/, "%%") }.freeze

      # @param rule [String] of {RULES}
      # @param forms [Array<String>]
      # @param number [Rational]
      # @return [String] the form that a number takes
      #
      #   Words::Locale.form("one_other", ["width", "widths"], 2r) # => "widths"
      def form(rule, forms, number) = forms[RULES.fetch(rule)[1].call(number)] || forms.last

      # @api private
      #
      #   Words::Locale.flattened({"units" => {"cm" => "centimetres"}}) # => {"units.cm"=>"centimetres"}
      def flattened(tree, above = "")
        tree.each_with_object({}) do |(key, value), texts|
          value.is_a?(Hash) ? texts.merge!(flattened(value, "#{above}#{key}.")) : texts["#{above}#{key}"] = value
        end
      end

      # @api private
      def count_by(language, texts)
        names, rule = RULES.fetch(texts.fetch("numbers.counted"))
        counts = ->(count) { names[rule.call(count.to_r)] }
        I18n.backend.store_translations(language, i18n: {plural: {keys: names, rule: counts}})
      end
    end
  end
end
