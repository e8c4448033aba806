# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # The house rules: what the workroom decides once, its sets, and what it has on hand.
      class House
        attr_reader :record, :notice

        # @param record [Store::House::Record]
        # @param form [Forms::HouseForm]
        # @param copy [Store::Copies::Copy, nil] the last one of everything
        # @param copy_old [Boolean] whether it is older than it should be
        def initialize(record, form, notice: nil, copy: nil, copy_old: false)
          @record, @form, @notice = record, form, notice && Words.say("notices.#{notice}")
          @copy, @copy_old = copy, copy_old
        end

        attr_reader :copy

        def copy_old? = @copy_old

        def page_title = Words.say("house.title")

        # @return [Array<Array(Store::RuleSet, String, String)>] each set, its curtain cut through, and how it is made
        def sets = record.sets.map { |set| [set, Drawings::AllowanceSection.new(set, unit).to_s, made(set)] }

        # @return [Array<Field>]
        def workroom = Forms::HouseForm::OWN.map { |own| field(own.key) }

        # @return [Array<Field>]
        def rules = fields("rules")

        # @return [Array<Field>]
        def on_hand = fields("on_hand")

        # @return [Array<Forms::Merging::Both>] what was typed beside what somebody else left meanwhile
        def both_versions = @form.clashes

        private

        def unit = record.rules.unit(record.unit)

        def made(set)
          method = set.for(unit)["method"]
          method ? Words.say("methods.#{method}") : Words.say("house.not_ruled")
        end

        def fields(part) = Forms::HouseForm::PATHS.fetch(part).map { |name| field("#{part}.#{name}") }

        def field(path) =
          Field.of_form(
            @form,
            path,
            label: Words.say("house_fields.#{path.split(".").last}"),
            options: Field.options(@form.field(path)),
            unit: Reckoning::Units.fetch(record.unit)
          )
      end
    end
  end
end
