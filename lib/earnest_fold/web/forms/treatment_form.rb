# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # What a person typed at one station of a treatment: which fields changed, what they become, and what is wrong
      # with them. Only fields that the station shows are read; a field that was left as it was seen is left alone,
      # and one that somebody else changed meanwhile is not overwritten ({Merging}).
      class TreatmentForm
        include Merging

        R = Reckoning
        # No window hangs so deep or runs so wide: a slip of the unit, caught before cloth is reckoned for it.
        SANE = {
          "drop.readings" => R::Length.mm(20_000),
          "support.length" => R::Length.mm(60_000),
          "support.height" => R::Length.mm(30_000),
          "overlap" => R::Length.mm(2_000),
          "return_left" => R::Length.mm(2_000),
          "return_right" => R::Length.mm(2_000),
          "ease" => R::Length.mm(1_000),
          "existing_length" => R::Length.mm(20_000),
          "wanted_length" => R::Length.mm(20_000),
          "stand_up" => R::Length.mm(2_000),
          "cloth_length" => R::Length.mm(20_000),
          "drop.stand_up" => R::Length.mm(2_000),
          "drop.offset" => R::Length.mm(2_000)
        }.freeze

        LONGEST = 60

        # @return [Hash{String => String}] what was typed into fields that could not be taken
        attr_reader :typed
        # @return [Hash{String => Reckoning::Problem}] by path
        attr_reader :problems
        # @return [Hash] the spec with every change that could be taken
        attr_reader :spec

        # @return [Object] what the changed spec was read as ({Work::Job#read})
        attr_reader :read

        # @param sheet [Work::Job]
        # @param entry [Work::Treatment, Work::Alteration] as it is now
        # @param paths [Array<String>] the fields of the station
        # @param params [Hash{String => String}]
        # @param unit [Reckoning::Unit] the one the page was shown in
        # @param shown_spec [Hash, nil] the spec that a page showed that was sent whole; nil where nobody has kept it
        def initialize(sheet, entry, paths, params, unit, shown_spec: entry.record.spec)
          @sheet, @entry, @record, @unit = sheet, entry, entry.record, unit
          @typed, @problems = {}, {}
          @spec = @record.spec
          @saw = Saw.new(params) { |path| shown_spec && text(path, shown_spec) }
          gone(paths, params)
          @changed = paths.select { |path| params[path].is_a?(String) && mine?(path, said(params[path])) }
          # Another heading has other fields: what stood in those of the old one goes with it.
          @changed = ["heading.kind"] if @changed.include?("heading.kind")
          @changed = ["kind"] if @changed.include?("kind")
          @changed = ["rules"] if @changed.include?("rules")
          @changed.each { |path| take(path, said(params[path])) }
          check_whole if changed?
        end

        # @return [Boolean] whether that field was changed
        def changed_to?(path) = changed? && @changed.include?(path)

        # What changes other fields with it: which there are, what the house says of them, what a lining starts from.
        REACHING = /\A(rules|face|lining\.cloth|interlining\.cloth|drop\.|wall\.|run|way)|(\A|\.)(kind|run)\z/

        # @return [Array<String>, nil] the only fields that may look otherwise by now; nil where any may
        def touched = (valid? && @changed.none? { |path| REACHING.match?(path) }) ? @changed : nil

        # @return [Hash] the spec as it was
        def before = @record.spec

        # @return [Boolean] whether there is anything to save
        def changed? = @spec != @record.spec

        def valid? = @problems.empty? && clashes.empty?

        private

        # A field that isn't there any more, as somebody chose another heading: what was typed into it is shown.
        def gone(paths, params)
          (@saw.names - paths).each do |path|
            clash(path, said(params[path]), "") if params[path].is_a?(String) && Words.field?(path)
          end
        end

        def shown(path) = text(path, @record.spec)

        # A heading of another kind has other fields: there nothing stands.
        def text(path, spec)
          Readings.shown(path, spec, @unit)
        rescue KeyError
          ""
        end

        # The same figure, however it was written: what was typed is shown as the house writes it.
        def alike?(path, saw)
          return false if saw.nil? || saw.empty?

          place = R::Problems.new
          read =
            [SpecFields.to_store(said(saw), kind(path), @unit), stored_at(path)].map do |value|
              kind(path).read(value, @unit, place)
            end
          place.any? ? false : read.uniq.one?
        end

        def stored_at(path) =
          Readings.path?(path) ? Readings.at(@record.spec, path) : SpecFields.stored(path, @record.spec)

        def said(text) = text.gsub("\r\n", "\n").strip

        # Figures are short; words may be as long as their field takes.
        def longest(path) = kind(path).is_a?(R::FieldKinds::TextKind) ? kind(path).most : LONGEST

        def kind(path) = Readings.path?(path) ? Readings::KIND : SpecFields.kind(path, @record.spec)

        def take(path, text)
          return refuse(path, text, :too_much_text, most: longest(path)) if text.size > longest(path)
          return empty(path, text) if text.empty?

          value = SpecFields.to_store(text, kind(path), @unit)
          problem = problem_with(path, value)
          problem ? refuse(path, text, problem.code, **problem.data) : store(path, value)
        end

        def empty(path, text)
          return refuse(path, text, :no_readings) if Readings.path?(path) && Readings.last?(@spec, path)
          return refuse(path, text, :missing) if needed?(path)

          store(path, nil)
        end

        # What decides which other fields there are.
        DECIDING = %w[kind heading.kind].freeze
        private_constant :DECIDING

        # The cloths are chosen from lists that say what leaving them out means; of somebody's own curtain any figure
        # may be wanting still.
        def needed?(path)
          return true if DECIDING.include?(path)
          return R::Support.length_needed?(@spec.dig("opening", "kind")) if path == "support.length"

          !@record.alteration? && !Readings.path?(path) && !path.match?(/\A(face|lining|interlining)/) &&
            SpecFields.field(path, @record.spec).required?
        end

        def problem_with(path, value)
          place = R::Problems.new
          code, facts = doubt_of(path, value)
          return R::Problem.new(at: path, code: code, data: facts) if code

          read = kind(path).read(value, @unit, place)
          most = SANE[Readings.path?(path) ? "drop.readings" : path]
          place.add(:absurd, given: read, most: most) if read.is_a?(R::Length) && most && read.abs > most
          place.to_a.first
        end

        def doubt_of(path, value) = kind(path).is_a?(R::FieldKinds::FullnessKind) ? DoubtfulFullness.of(value) : nil

        def store(path, value)
          @spec = changed_spec(path, value)
        end

        def changed_spec(path, value)
          case path
          when "lining.cloth"
            line_with(value)
          when "interlining.cloth"
            value ? @spec.merge("interlining" => {"cloth" => value}) : @spec.except("interlining")
          when "heading.kind"
            head_with(value)
          when "kind"
            AlteredSpec.changed(@spec, value, set, @unit)
          when "rules"
            (chosen = @sheet.settled.set(value)) ? chosen.applied(@spec, @unit) : @spec.except("rules")
          else
            Readings.path?(path) ? Readings.set(@spec, path, value) : SpecFields.set(@spec, path, value)
          end
        end

        # Another heading starts from the house's rules for its kind, at the same fullness.
        def head_with(kind)
          fullness = @spec["heading"].slice("fullness")
          rules = set.heading(kind, @unit)
          @spec.merge("heading" => rules.key?("fullness") ? rules.merge(fullness) : rules)
        end

        # The set of rules that the treatment takes.
        def set = @sheet.settled.set(@spec["rules"]) || @sheet.settled.first_set

        # A lining starts from the house's rules; without its cloth there is none.
        def line_with(cloth)
          return @spec.except("lining") unless cloth

          @spec.merge("lining" => (@spec["lining"] || @sheet.settled.lining(set, @unit)).merge("cloth" => cloth))
        end

        # Each field can be read, and together they may still leave nothing to reckon: then the change is not taken.
        def check_whole
          before = @entry.problems.map { |problem| [problem.at, problem.code] }
          @read = @sheet.read(@record.id, @spec)
          fresh =
            (@read.is_a?(Array) ? @read : []).reject do |problem|
              %i[missing faulty].include?(problem.code) || before.include?([problem.at, problem.code])
            end
          return if fresh.empty?

          changed = @changed - @problems.keys
          changed.each { |path| refuse(path, Readings.shown(path, @spec, @unit), fresh.first.code, **fresh.first.data) }
          @spec = @record.spec
        end

        def refuse(path, text, code, **data)
          @typed[path] = text
          @problems[path] = R::Problem.new(at: path, code: code, data: data)
        end
      end
    end
  end
end
