# frozen_string_literal: true

module EarnestFold
  module Web
    # What differs between two states of a treatment, field by field, in words.
    class Differences
      # One field: what it is called, what stood there and what stands there now.
      OfField = Reckoning::Value.define(:path, :label, :before, :after)

      # @param sheet [Work::Job] by which sets and cloths go by their names
      def initialize(sheet)
        @sheet = sheet
      end

      # @param before [Hash] a spec
      # @param after [Hash] the same, changed
      # @return [Array<OfField>] without what means the same: a figure that is written out where its default stood
      def between(before, after)
        was, is = flat(before), flat(after)
        changed =
          (was.keys | is.keys).reject do |path|
            was[path] == is[path] || figure(path, was[path], before) == figure(path, is[path], after)
          end
        changed.map do |path|
          OfField.new(
            path: path,
            label: label(path),
            before: said(path, was[path], before),
            after: said(path, is[path], after)
          )
        end
      end

      # @param before [Rational, nil] minutes that the order of work takes; nil where nothing can be made yet
      # @param after [Rational, nil]
      # @return [Array<OfField>] none where they are the same
      def minutes(before, after)
        return [] if [before, after].include?(nil) || before.round == after.round

        [OfField.new(
          path: "minutes",
          label: Words.say("changes.minutes"),
          before: Words.hours(before),
          after: Words.hours(after)
        )]
      end

      # @param path [String] of a field
      # @param value [Object, nil] as it is kept
      # @param spec [Hash] in which it stands
      # @return [String] in words
      def said(path, value, spec)
        return Words.say("changes.nothing") if value.nil?
        return @sheet.settled.set(value)&.name || value.to_s if path == "rules"
        return tape_name(value) if path == "tape"

        path.match?(/\A(face|trimming)\z|cloth\z/) ? cloth_name(value) : in_words(path, value, spec)
      end

      private

      # What it comes to; what nobody declares is as it is written.
      def figure(path, value, spec)
        field = Work::SpecFields.field(path, spec)
        value.nil? ? field.default : field.kind.read(value, @sheet.unit, Reckoning::Problems.new)
      rescue KeyError
        value
      end

      # Readings by the place at which each was taken, everything else by its path.
      def flat(spec) = Work::Readings.all(spec).transform_keys { |place| "drop.readings.#{place}" }.merge(leaves(spec))

      def leaves(spec, above = "")
        spec.except("readings", "taken_at").each_with_object({}) do |(key, value), found|
          value.is_a?(Hash) ? found.merge!(leaves(value, "#{above}#{key}.")) : found["#{above}#{key}"] = value
        end
      end

      def label(path)
        key = "fields.#{path.tr(".", "_")}"
        (Words.say?(key) || path.start_with?("wall.", "drop.readings.")) ? Words.field_label(path) : path.tr("._", " ")
      end

      # A choice in the words that its station has for it.
      def in_words(path, value, spec)
        kind = Work::SpecFields.field?(path, spec) ? Work::SpecFields.kind(path, spec) : nil
        kind&.words ? Words.choice(kind, kind.show(value, @sheet.unit)) : value.to_s
      end

      def cloth_name(id)
        cloth = @sheet.cloth_records.find { |record| record.id.to_s == id }
        cloth ? cloth.spec["name"] : id
      end

      def tape_name(id)
        tape = @sheet.settled.tape(id)
        tape ? tape.spec["name"] : id
      end
    end
  end
end
