# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # One cloth's form.
      class ClothForm
        attr_reader :record, :form, :unit, :notice

        # @param record [Store::Records::Cloth, nil] nil for a new one
        # @param station [String, nil] the Cloth station for which it is brought in
        def initialize(record, form, unit, notice: nil, station: nil)
          @record, @form, @unit, @notice = record, form, unit, notice && Words.say("notices.#{notice}")
          @station = station
        end

        attr_reader :station

        # @return [String] where one goes without keeping anything
        def back = station || Paths.cloths

        def page_title = record ? record.spec["name"] : Words.say("cloths.new")

        def path = record ? Paths.cloth(record.id) : Paths.cloths

        # @return [String, nil] SVG: the cloth as it is kept
        def drawing
          cloth = record && Work::Reader.cloth(record, unit)
          cloth && Drawings::ClothSample.new(cloth, unit, colour: record.colour).to_s
        end

        # @return [Array<String>] the fields, in their order
        def names = Forms::ClothForm::NAMES

        # @return [Field]
        def field(name) =
          Field.of_form(form, name, label: Words.say("cloth_fields.#{name}"), options: options(name), unit: unit)

        private

        # What a yes means is said of each.
        def options(name)
          choice = Field.options(form.field(name))
          return choice unless Words.say?("cloth_fields.#{name}_no")

          choice.to_h { |word, _| [word, Words.say("cloth_fields.#{name}_#{word}")] }
        end
      end
    end
  end
end
