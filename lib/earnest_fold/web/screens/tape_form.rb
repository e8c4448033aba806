# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # One tape's form.
      class TapeForm
        attr_reader :record, :form, :unit, :station

        # @param record [Store::Records::Tape, nil] nil for a new one
        # @param station [String, nil] the Heading station that one came from
        def initialize(record, form, unit, station: nil)
          @record, @form, @unit, @station = record, form, unit, station
        end

        # @return [String] where one goes without keeping anything
        def back = station || Paths.tapes

        def page_title = record ? record.spec["name"] : Words.say("tapes.new")

        def path = record ? Paths.tape(record.id) : Paths.tapes

        # @return [String, nil] what kind it is, in words
        def kind = record && Words.say("tape_kinds.#{record.spec["kind"]}")

        # @return [String, nil] SVG: the tape as it is kept, where its depth is known
        def drawing
          return unless record

          tape = Work::Reader.tape(record, unit)
          tape&.depth && Drawings::TapeSample.new(tape, unit).to_s
        end

        # @return [Array<Field>] in their order
        def fields = Forms::TapeForm.names(record&.spec&.fetch("kind")).map { |name| field(name) }

        private

        def field(name) =
          Field.of_form(
            form,
            name,
            label: Words.say("tape_fields.#{name}"),
            options: Field.options(form.field(name)),
            unit: unit
          )
      end
    end
  end
end
