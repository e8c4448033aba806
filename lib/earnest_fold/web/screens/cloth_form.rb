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
        def back = station || "/cloths"

        def page_title = record ? record.spec["name"] : Words.say("cloths.new")

        def path = record ? "/cloths/#{record.id}" : "/cloths"

        # @return [String, nil] SVG: the cloth as it is kept
        def drawing
          cloth = record && Work::Reader.cloth(record, unit)
          cloth && Drawings::ClothSample.new(cloth, unit, colour: record.colour).to_s
        end

        # @return [Field]
        def field(name)
          problem = form.problems[name]
          Field.of(
            path: name,
            label: Words.say("cloth_fields.#{name}"),
            text: form.text(name),
            now: form.shown(name),
            options: options(name),
            problem: problem && Words.field_problem(problem, unit)
          )
        end

        private

        def options(name)
          case name
          when "use"
            Reckoning::Cloth::USES.to_h { |use| [use, Words.say("uses.#{use}")] }
          when "match"
            Reckoning::Cloth::MATCHES.to_h { |match| [match, Words.say("matches.#{match}")] }
          when "one_way", "selvedge_in_seam", "coated", "frays", "creeps", "curls", "loose"
            {"no" => Words.say("cloth_fields.#{name}_no"), "yes" => Words.say("cloth_fields.#{name}_yes")}
          end
        end
      end
    end
  end
end
