# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # One named set of rules, for both tapes: every allowance of making and lining, and each heading's own figures.
      class RuleSetForm < FieldForm
        UNITS = {"metric" => R::Units::CM, "inches" => R::Units::IN}.freeze
        NAME = R::Field.new(
          name: :name,
          kind: R::FieldKinds::TextKind.new(least: 1, most: 60),
          default: R::Fields::REQUIRED
        )
        # Decided for each treatment, not for the house.
        NOT_RULED = /
          \A(making|lining)\.(widths|accept_short_percent|cloth|run)\z|
          \Alining\.seam\z|pleats\z|hide_seams|\Aheadings\.\w+\.pocket\z
        /x
        MAKING = R::Making::FIELDS.paths.map { |path| "making.#{path}" }.grep_v(NOT_RULED).freeze
        LINING = R::Lining::FIELDS.paths.map { |path| "lining.#{path}" }.grep_v(NOT_RULED).freeze
        HEADINGS =
          R::Headings
            .flat_map { |kind| kind.fields.paths.map { |path| "headings.#{kind.kind}.#{path}" } }
            .grep_v(NOT_RULED)
            .freeze
        HABITS = Store::RuleSet::HABITS
        PATHS = (HABITS + MAKING + LINING + HEADINGS).freeze

        attr_reader :spec, :name

        # @param set [Store::RuleSet]
        # @param params [Hash, nil] what was typed; nil before anything was
        def initialize(set, params)
          super(params, R::Units::CM, seen: FieldForm.seen?(params, set.version))
          @set, @name, @spec = set, set.name, set.spec
          take if params
        end

        # @param name [String] "metric.making.seam", or "name"
        def field(name) = (name == "name") ? NAME : RuleSetForm.field(name.split(".", 2).last)

        # @param path [String] of a set: "making.seam", "headings.wave.top_turn"
        # @return [Reckoning::Field]
        def self.field(path)
          part, kind, rest = path.split(".", 3)
          return Work::SpecFields.field(path, {}) unless part == "headings"

          R::Headings.fetch(kind).fields.at(rest, {})
        end

        # @param path [String] of a treatment's field
        # @return [Boolean] whether a set can say anything of it
        def self.ruled?(path) =
          [HABITS, MAKING, LINING].any? { |paths| paths.include?(path) } ||
            HEADINGS.any? { |one| RuleSetForm.of_treatment(one) == path }

        # @param path [String] of a set
        # @return [String] of the treatment's field that it rules
        def self.of_treatment(path) = path.sub(/\Aheadings\.\w+\./, "heading.")

        private

        def kept(name)
          return @set.name if name == "name"

          tape, path = name.split(".", 2)
          Work::SpecFields.stored(path, @set.spec.fetch(tape, {}))
        end

        def unit_of(name) = UNITS.fetch(name.split(".", 2).first, @unit)

        def called(name)
          tape, path = name.split(".", 2)
          return Words.say("house_fields.set_name") unless path

          "#{Words.field_label(RuleSetForm.of_treatment(path))}, #{Words.say("house.#{tape}")}"
        end

        def take
          @name = taken({"name" => @set.name}, "name").fetch("name")
          @spec = UNITS.keys.reduce(@spec) do |spec, tape|
            spec.merge(
              tape => PATHS.reduce(spec.fetch(tape, {})) { |made, path| taken(made, "#{tape}.#{path}", path) }
            )
          end
        end

        def put(record, key, value) = Work::SpecFields.set(record, key, value)

        def emptied(record, name, key) = (name == "name") ? refuse(name, :missing) || record : put(record, key, nil)
      end
    end
  end
end
