# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # What was changed of a treatment, the last first.
      class Changes
        # One change in words: when, which field, from what to what.
        Line = Reckoning::Value.define(:at, :by, :taken_back, :fields)

        attr_reader :sheet, :entry

        # @param changes [Array<Store::Records::Change>]
        def initialize(sheet, entry, changes)
          @sheet, @entry, @changes = sheet, entry, changes
        end

        def job = sheet.job

        def unit = sheet.unit

        def page_title = Words.say("changes.title", title: entry.title)

        def back = "/jobs/#{job.id}/treatments/#{entry.id}/measure"

        # @return [Array<Line>]
        def lines = @changes.map { |change| Line.new(at: change.at, by: change.by, taken_back: change.taken_back, fields: fields(change)) }

        private

        # @return [Array<Array(String, String, String)>] label, before, after
        def fields(change)
          before, after = flat(change.before), flat(change.after)
          (before.keys | after.keys).reject { |path| before[path] == after[path] }.map { |path| [label(path), said(path, before[path]), said(path, after[path])] }
        end

        # Readings by the place at which each was taken, everything else by its path.
        def flat(spec, above = "")
          return Forms::Readings.all(spec).transform_keys { |place| "drop.readings.#{place}" }.merge(leaves(spec)) if above.empty?

          leaves(spec, above)
        end

        def leaves(spec, above = "")
          spec.except("readings", "taken_at").each_with_object({}) do |(key, value), found|
            value.is_a?(Hash) ? found.merge!(leaves(value, "#{above}#{key}.")) : found["#{above}#{key}"] = value
          end
        end

        def label(path)
          key = "fields.#{path.tr(".", "_")}"
          (Words.say?(key) || path.start_with?("wall.")) ? Words.field_label(path) : path.tr("._", " ")
        end

        def said(path, value)
          return Words.say("changes.nothing") if value.nil?
          return sheet.settled.set(value)&.name || value.to_s if path == "rules"

          path.match?(/face|cloth\z/) ? cloth_name(value) : value.to_s
        end

        def cloth_name(id) = sheet.cloth_records.find { |record| record.id.to_s == id }&.spec&.fetch("name", nil) || id
      end
    end
  end
end
