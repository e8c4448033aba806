# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # Where good makers differ, why, and what each of the house's sets says there.
      class Schools
        # The figure of a set that shows which school it follows.
        NAMES = {
          "hems" => %w[making.hem.kind making.hem.depth],
          "sides" => %w[making.side.kind making.side.depth],
          "lift" => %w[lining.lift],
          "inset" => %w[lining.inset],
          "spare" => %w[making.squaring],
          "selvedge" => %w[making.seam],
          "width_step" => %w[making.width_step],
          "trim" => %w[making.trim],
          "fullness" => %w[heading.fullness],
          "pleats" => %w[heading.space.target heading.take_up.target]
        }.freeze

        # @param record [Store::House::Record]
        def initialize(record)
          @record = record
          @unit = record.rules.unit(record.unit)
        end

        def page_title = Words.say("schools.title")

        # @return [Array<String>]
        def schools = NAMES.keys

        # @return [Array<Store::RuleSet>]
        def sets = @record.sets

        # @return [String] what a set says of a school, in few words
        def says(school, set)
          kind = (school == "pleats") ? "hand_pleat" : "pencil_pleat"
          said = NAMES.fetch(school).filter_map { |path| figure(path, kind, set.value(path, kind, @unit)) }
          said.empty? ? Words.say("schools.silent") : said.join(" ")
        end

        private

        def figure(path, kind, value)
          return if value.nil?

          kind = Work::SpecFields.kind(path, {"heading" => {"kind" => kind}})
          return Words.say("#{kind.said}.#{value}") if kind.said

          text = kind.show(value, @unit)
          kind.is_a?(Reckoning::FieldKinds::LengthKind) ? "#{text} #{Words.unit(@unit)}" : text
        end
      end
    end
  end
end
