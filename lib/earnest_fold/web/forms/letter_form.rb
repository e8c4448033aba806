# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # A letter before it goes: to whom, about what, and what it says.
      class LetterForm < TextsForm
        NAMES = Store::Letters::TEXTS.map(&:to_s).freeze
        FIELDS, CALLED, MAIL = Store::Letters::FIELDS, "letters.fields", "to"

        # @param letter [Store::Letters::Letter]
        # @param params [Hash, nil] nil before anything was typed
        # @param going [Boolean] whether it is to go: then nothing may be missing
        def initialize(letter, params, going: false)
          super(letter, params)
          return unless going && problems.empty?

          NAMES.each { |name| refuse(name, :letter_lacks) if values[name.to_sym].empty? }
        end
      end
    end
  end
end
