# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # One named set of rules, for both tapes: every allowance of making and lining, and each heading's own figures.
      class RuleSetForm
        include Merging
        include Refusing

        R = Reckoning
        LONGEST = 60
        UNITS = {"metric" => R::Units::CM, "inches" => R::Units::IN}.freeze
        MAKING = %w[making.hem.kind making.hem.depth making.hem.turn_under making.side.kind making.side.depth
          making.side.turn_under making.seam making.squaring making.width_step making.trim].freeze
        LINING = %w[lining.lift lining.inset lining.side_turn lining.top lining.hem.kind lining.hem.depth
          lining.hem.turn_under].freeze
        # Decided for each treatment, not for the house.
        NOT_RULED = /pleats\z|hide_seams|\Aheadings\.\w+\.pocket\z/
        HEADINGS = R::Headings.names.flat_map { |kind|
          SpecFields
            .heading_paths({"heading" => {"kind" => kind}})
            .map { |path| path.sub("heading.", "headings.#{kind}.") }
        }.grep_v(NOT_RULED).freeze
        PATHS = (MAKING + LINING + HEADINGS).freeze

        attr_reader :spec, :name

        # @param set [Store::RuleSet]
        # @param params [Hash, nil] what was typed; nil before anything was
        def initialize(set, params)
          @set, @params = set, params
          @saw = Saw.new(params || {}) { |name| (params["version"] == set.version.to_s) ? shown(name) : nil }
          @name = (params && anew?("name")) ? params["name"].strip : set.name
          @spec = set.spec
          take if params
        end

        # @param tape [String] "metric" or "inches"
        # @return [String] what stands in a field: as typed, else as stored
        def text(tape, path)
          typed = @params && @params["#{tape}.#{path}"]
          typed.is_a?(String) ? typed : shown("#{tape}.#{path}")
        end

        def valid? = super && clashes.empty?

        # @param name [String] "metric.making.seam", or "name"
        # @return [String] what is stored of it, as a person reads it
        def shown(name)
          return @set.name if name == "name"

          tape, path = name.split(".", 2)
          SpecFields.text(SpecFields.stored(path, @set.spec.fetch(tape, {})), RuleSetForm.kind(path), UNITS.fetch(tape))
        end

        # @param path [String] of a set
        # @return [Array(Array<String>, String), nil] the words of a heading's own choice, and where they are said
        def self.choice_of_heading(path)
          return unless path.start_with?("headings.") && kind(path).is_a?(R::FieldKinds::ChoiceKind)

          [kind(path).words, "#{path.split(".").last}s"]
        end

        # @param path [String] of a set
        # @return [#read]
        def self.kind(path)
          part, kind, rest = path.split(".", 3)
          if part == "headings"
            SpecFields.kind("heading.#{rest}", {"heading" => {"kind" => kind}})
          else
            SpecFields.kind(path, {})
          end
        end

        # @param path [String] of a treatment's field
        # @return [Boolean] whether a set can say anything of it
        def self.ruled?(path) =
          MAKING.include?(path) || LINING.include?(path) ||
            HEADINGS.any? { |one| one.sub(/\Aheadings\.\w+\./, "heading.") == path }

        private

        def called(name)
          tape, path = name.split(".", 2)
          if path
            "#{Words.field_label(path.sub(/\Aheadings\.\w+\./, "heading."))}, #{Words.say("house.#{tape}")}"
          else
            Words.say("house_fields.set_name")
          end
        end

        def anew?(name) = @params[name].is_a?(String) && mine?(name, @params[name].strip)

        def take
          refuse("name", name.empty? ? :missing : :too_much_text, most: LONGEST) unless name.size.between?(1, LONGEST)
          UNITS.each do |tape, unit|
            @spec = @spec.merge(
              tape => PATHS.reduce(@spec.fetch(tape, {})) { |made, path| taken(made, tape, path, unit) }
            )
          end
        end

        def taken(made, tape, path, unit)
          return made unless anew?("#{tape}.#{path}")

          typed = @params["#{tape}.#{path}"]
          return SpecFields.set(made, path, nil) if typed.strip.empty?

          stored(made, tape, path, SpecFields.to_store(typed.strip, RuleSetForm.kind(path), unit), unit)
        end

        def stored(made, tape, path, value, unit)
          problems = R::Problems.new
          code, data = DoubtfulFullness.of(value) if RuleSetForm.kind(path).is_a?(R::FieldKinds::FullnessKind)
          code ? problems.add(code, **data) : RuleSetForm.kind(path).read(value, unit, problems)
          return SpecFields.set(made, path, value) unless problems.any?

          refuse("#{tape}.#{path}", problems.to_a.first.code, **problems.to_a.first.data)
          made
        end
      end
    end
  end
end
