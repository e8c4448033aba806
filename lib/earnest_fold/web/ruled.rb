# frozen_string_literal: true

module EarnestFold
  module Web
    # How a treatment stands to the set of house rules and to the tape that it takes: which of them spoke at each field,
    # and where it departs.
    class Ruled
      include Work::Remembers

      R = Reckoning
      # What the set says of one field: its name, what it says (as a person reads it), and whether the treatment
      # departs from it.
      RuleMark = R::Value.define(:name, :says, :departs, :path)
      # The fields that a line of the working speaks of.
      LINES = {
        hem: "making.hem.depth",
        lining_hem: "lining.hem.depth",
        squaring: "making.squaring",
        lining_drop: "lining.lift",
        flat_needed: "heading.fullness",
        cut_width: "making.side.depth",
        each_more: "making.seam",
        top_allowance: "heading.top_turn",
        hooks: "heading.hook_spacing"
      }.freeze
      # All of a treatment that a set, a method or a tape speaks of: whatever was measured changes nothing here.
      SPOKEN_OF = %w[making lining heading method weighting].freeze

      # @param set [Store::RuleSet, nil]
      # @param spec [Hash] the treatment's
      # @param unit [Reckoning::Unit]
      # @param tape [Store::Records::Tape, nil] which speaks before the set
      def initialize(set, spec, unit, tape: nil)
        @set, @spec, @unit, @tape = set, spec, unit, tape
        @of_method = Hash.new { |figures, of_unit| figures[of_unit] = of_method(of_unit) }
        @marks = {}
      end

      # @return [Ruled] the first one that was given the same, with all that it has said already
      def remembered = once(:itself) { self }

      # @return [Array] all that it was given, as far as it looks at it
      def made_of = [
        @set && [@set.id, @set.version], @tape && [@tape.id, @tape.version], @unit, @spec.slice(*SPOKEN_OF)
      ]

      # @return [String, nil] the name of the set
      def name = @set&.name

      # @param path [String]
      # @return [RuleMark, nil] nil where the set says nothing of the field
      def mark(path) = @marks.fetch(path) { @marks[path] = held(path) }

      # @param paths [Array<String>]
      # @return [Integer] how many of these fields depart
      def departures(paths) = paths.count { |path| mark(path)&.departs }

      # @param line [Reckoning::Line]
      # @return [RuleMark, nil] of the field that a line of the working speaks of
      def line_mark(line) = (path = LINES[line.name]) && mark(path)

      # @return [String, nil] what the set says of a field, as it would be typed
      def text(path) = (ruled = value(path)).nil? ? nil : kind(path).show(ruled, @unit)

      private

      def held(path)
        ruled = value(path)
        unless ruled.nil?
          RuleMark.new(
            name: named(path),
            says: said(path, ruled),
            departs: !same?(path, ruled) && !same?(path, value(path, other_unit)),
            path: path
          )
        end
      end

      # A choice in the words that its station has for it.
      def said(path, ruled)
        words = kind(path).words&.include?(ruled) && kind(path).said
        words ? Words.say("#{words}.#{ruled}") : kind(path).show(ruled, @unit)
      end

      # Whose figure it is: the tape's, the method's, or the set's.
      def named(path)
        return @tape.spec["name"] if of_tape.key?(path)

        method?(path) ? Words.say("methods.#{@spec["method"]}") : name
      end

      # A rule has round figures for either tape: what was begun by the other one keeps to it just as well.
      def other_unit = @unit.inches? ? R::Units::CM : R::Units::IN

      def value(path, unit = @unit)
        return of_tape[path] if of_tape.key?(path)

        method?(path) ? by_method(path, unit) : of_set(path, unit)
      end

      def of_tape = @of_tape ||= Work::Starting.tape_figures(@tape, @spec)

      # A record that a method gives is given whole.
      def method?(path) = @of_method[@unit].key?(path) || @of_method[@unit][path.rpartition(".").first].is_a?(Hash)

      def by_method(path, unit)
        record, _, name = path.rpartition(".")
        @of_method[unit].fetch(path) { @of_method[unit].fetch(record)[name] }
      end

      def of_set(path, unit = @unit) = @set&.value(path, @spec.dig("heading", "kind"), unit)

      # A method that isn't the set's own means other figures: the method is the one departure, and its figures are
      # its rule.
      def of_method(unit)
        method = @spec["method"]
        return {} if @set.nil? || method.nil? || of_set("method") == method

        figures = R::Methods::Kinds[method]&.figures(unit) || {}
        @spec["lining"] ? figures : figures.reject { |path, _| path.start_with?("lining.") }
      end

      def kind(path) = Work::SpecFields.kind(path, @spec)

      # Alike as figures, however they were written.
      def same?(path, ruled)
        mine = own(path)
        mine == ruled || figure(path, mine) == figure(path, ruled)
      end

      def own(path)
        stored = Work::SpecFields.stored(path, @spec)
        stored.nil? ? Work::SpecFields.field(path, @spec).default : stored
      end

      def figure(path, value)
        return value unless value.is_a?(String) || value.is_a?(Hash) || value.is_a?(Numeric)

        kind(path).read(value, @unit, R::Problems.new)
      end
    end
  end
end
