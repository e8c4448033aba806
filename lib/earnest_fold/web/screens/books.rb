# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # The house rules for times, prices and days.
      class Books
        attr_reader :record, :notice

        # @param record [Store::House::Record]
        # @param form [Forms::BooksForm]
        def initialize(record, form, notice: nil)
          @record, @form, @notice = record, form, notice && Words.say("notices.#{notice}")
        end

        def page_title = Words.say("books.title")

        # @return [Array<String>] the parts, in order
        def parts = Forms::BooksForm::PARTS.keys

        # @return [Array<Field>]
        def fields(part) =
          Forms::BooksForm::NAMES.select { |path| path.start_with?("#{part}.") }.map { |path| field(path) }

        # @return [Array<Array<Field>>] rows of a drop and its price
        def bands = Forms::BooksForm::BAND_NAMES.map { |path| field(path) }.each_slice(2).to_a

        # @return [Array<Forms::Merging::Both>] what was typed beside what somebody else left meanwhile
        def both_versions = @form.clashes

        private

        def field(path) =
          Field.of_form(
            @form,
            path,
            label: label(path),
            options: Field.options(@form.field(path)),
            unit: Reckoning::Units.fetch(record.unit)
          )

        def label(path)
          part, name, row, inner = path.split(".")
          inner ? Words.say("books.bands.#{inner}", number: row.to_i + 1) : Words.say("books.#{part}.#{name}")
        end
      end
    end
  end
end
