# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # The house rules: what the workroom decides once, its sets, and what it has on hand.
      class House
        CHOICES = {
          inch_fraction: {"8" => "house.eighths", "16" => "house.sixteenths"},
          selvedges: {"cut_off" => "house.cut_off", "in_seam" => "house.in_seam"},
          cutter: {"shears" => "house.shears", "rotary" => "house.rotary", "heat" => "house.heat"},
          cut_on: {"table" => "house.table", "floor" => "house.floor"},
          making_order: {"hem_first" => "house.hem_first", "heading_first" => "house.heading_first"},
          stitching: {"hand" => "house.hand", "machine" => "house.machine"},
          lining_school: {"locked_in" => "house.locked_in", "bagged" => "house.bagged", "tabled" => "house.tabled"}
        }.freeze

        attr_reader :record, :notice

        # @param record [Store::House::Record]
        # @param form [Forms::HouseForm]
        def initialize(record, form, notice: nil)
          @record, @form, @notice = record, form, notice && Words.say("notices.#{notice}")
        end

        def page_title = Words.say("house.title")

        def sets = record.sets

        # @return [Array<Field>]
        def workroom =
          [field("name"), field("unit", Reckoning::Units::ALL.keys.to_h { |name| [name, Words.say("units.#{name}")] })]

        # @return [Array<Field>]
        def rules
          (Reckoning::HouseRules::FIELDS.names - Reckoning::HouseRules::BOOKS).map do |name|
            field("rules.#{name}", CHOICES[name]&.transform_values { |key| Words.say(key) })
          end
        end

        # @return [Array<Field>]
        def on_hand = (Forms::HouseForm::COUNTED + Forms::HouseForm::MEASURED).map { |name| field("on_hand.#{name}") }

        # @return [Array<Forms::Merging::Both>] what was typed beside what somebody else left meanwhile
        def both_versions = @form.clashes

        private

        def field(path, options = nil)
          problem = @form.problems[path]
          Field.of(
            path: path,
            label: Words.say("house_fields.#{path.split(".").last}"),
            text: @form.text(path),
            now: @form.shown(path),
            options: options,
            problem: problem && Words.field_problem(problem, Reckoning::Units.fetch(record.unit))
          )
        end
      end
    end
  end
end
