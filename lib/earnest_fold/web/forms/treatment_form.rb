# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # What a person typed at one station of a treatment: which fields changed, what they become, and what is wrong
      # with them. A field that was left as it was seen is left alone, and one that somebody else changed meanwhile is
      # not overwritten ({Merging}).
      class TreatmentForm < FieldForm
        # @return [Work::Treatment, Work::Alteration] as it is
        attr_reader :entry
        # @return [Hash{String => String}] what was typed into fields that could not be taken
        attr_reader :typed
        # @return [Hash] the spec with every change that could be taken
        attr_reader :spec
        # @return [Object] what the changed spec was read as ({Work::Job#read})
        attr_reader :read

        # @param sheet [Work::Job]
        # @param entry [Work::Treatment, Work::Alteration] as it is now
        # @param params [Hash{String => String}]
        # @param unit [Reckoning::Unit] the one the page was shown in
        # @param shown_spec [Hash, nil] the spec that a page showed that was sent whole; nil where nobody has kept it
        def initialize(sheet, entry, params, unit, shown_spec: entry.record.spec)
          super(params, unit)
          @sheet, @entry = sheet, entry
          @spec, @typed = before, {}
          @saw = Saw.new(params) { |path| shown_spec && text_in(path, shown_spec) }
          gone
          @changed = deciding(sent.select { |path| anew?(path) })
          @changed.each { |path| @spec = taken(@spec, path) }
          check_whole if changed?
        end

        # @return [Boolean] whether that field was changed
        def changed_to?(path) = changed? && @changed.include?(path)

        # What changes other fields with it: which there are, what the house says of them, what a lining starts from.
        REACHING = /
          \A(rules|tape|heading\.hook_row|method|weighting|face|lining\.cloth|interlining\.cloth|drop\.|wall\.|run|way)|
          (\A|\.)(kind|run)\z
        /x

        # What brings other figures with it.
        BRINGING = %w[rules method tape].freeze

        # @return [Array<String>, nil] the only fields that may look otherwise by now; nil where any may
        def touched = (valid? && @changed.none? { |path| REACHING.match?(path) }) ? @changed : nil

        # @return [Hash] the spec as it was
        def before = @entry.record.spec

        # @return [Boolean] whether there is anything to save
        def changed? = @spec != before

        def field(path) = Work::SpecFields.field(path, before)

        def shown(path) = text_in(path, before)

        private

        # A heading of another kind has other fields: there nothing stands.
        def text_in(path, spec)
          Work::SpecFields.shown(path, spec, @unit)
        rescue KeyError
          ""
        end

        def sent = @params.keys.select { |path| said(path) && Work::SpecFields.asked?(path, before) }

        # A field that isn't there any more, as somebody chose another heading: what was typed into it is shown.
        def gone
          @saw.names.reject { |path| Work::SpecFields.field?(path, before) }.each do |path|
            clash(path, said(path), "") if said(path) && Words.field?(path)
          end
        end

        # Another heading, another alteration and another set have other figures: what stood in those of the old one
        # goes with it.
        def deciding(changed)
          one = changed.find { |path| field(path).kind.decides? } || (BRINGING & changed).first
          one ? [one] : changed
        end

        # The same figure, however it was written: what was typed is shown as the house writes it.
        def alike?(path, saw)
          return false if saw.nil? || saw.empty?

          place = R::Problems.new
          read = [kind(path).take(saw.strip, @unit), kept(path)].map { |value| kind(path).read(value, @unit, place) }
          place.any? ? false : read.uniq.one?
        end

        def kept(path) = Work::SpecFields.stored(path, before)

        # Cloths, tapes and sets of rules have names.
        def in_words(path, text) = Differences.new(@sheet).said(path, text, before)

        def put(spec, path, value) = Work::Starting.new(@sheet.settled, @unit).changed(spec, path, value)

        def emptied(spec, path, _key)
          return refuse(path, :no_readings) || spec if Work::Readings.path?(path) && Work::Readings.last?(spec, path)

          @entry.needs?(path) ? refuse(path, :missing) || spec : put(spec, path, nil)
        end

        # Each field can be read, and together they may still leave nothing to reckon: then the change is not taken.
        def check_whole
          was = @entry.problems.map { |problem| [problem.at, problem.code] }
          @read = @sheet.read(@entry.id, @spec)
          fresh =
            (@read.is_a?(Array) ? @read : []).reject do |problem|
              %i[missing faulty].include?(problem.code) || was.include?([problem.at, problem.code])
            end
          return if fresh.empty?

          (@changed - problems.keys).each { |path| refuse(path, fresh.first.code, **fresh.first.data) }
          @spec = before
        end

        def refuse(path, code, **data)
          @typed[path] = said(path)
          super
        end
      end
    end
  end
end
