# frozen_string_literal: true

module EarnestFold
  module Work
    # What a choice brings with it: another heading, a lining, another alteration, a set of rules start from what the
    # house has decided.
    class Starting
      R = Reckoning
      # What this application keeps beside the job format, whatever is altered.
      KEPT = %w[answers id].freeze
      # The choices that bring more than themselves.
      BRING = {
        "lining.cloth" => :lined,
        "interlining.cloth" => :interlined,
        "heading.kind" => :headed,
        "kind" => :altered,
        "rules" => :ruled,
        "method" => :made_by,
        "tape" => :taped,
        "hem.kind" => :hemmed,
        "take_out_foot" => :pinned,
        "wanted_length" => :measured,
        "heading.hook_row" => :hooked
      }.freeze
      private_constant :KEPT, :BRING

      # @param settled [Store::House::Record]
      # @param unit [Reckoning::Unit] in which the house's figures are taken
      def initialize(settled, unit)
        @settled, @unit = settled, unit
      end

      # @param spec [Hash]
      # @param path [String] of a field
      # @param value [Object, nil] as it is kept; nil takes it away
      # @return [Hash] a copy with it, and with all that it brings
      #
      #   Work::Starting.new(settled, Units::CM).changed({}, "overlap", "9 cm")["overlap"] # => "9 cm"
      def changed(spec, path, value) =
        BRING.key?(path) ? send(BRING.fetch(path), spec, value) : SpecFields.set(spec, path, value)

      # What both alterations know is kept, what is new starts as its kind and the house say.
      # @param spec [Hash] empty before anything is measured
      # @param kind [String] of alteration
      # @return [Hash]
      #
      #   Work::Starting.new(settled, Units::CM).altered({}, "shorten_at_hem")["kind"] # => "shorten_at_hem"
      def altered(spec, kind)
        fields = R::Alterations.fetch(kind).all_fields
        starts = fields.reject { |field| field.start.nil? }.to_h { |field| [field.key, started(field.start)] }
        {"kind" => kind}.merge(starts, spec.slice(*fields.names.map(&:to_s), *KEPT), {"kind" => kind})
      end

      # @param tape [Store::Records::Tape, nil] that it takes
      # @param spec [Hash]
      # @return [Hash{String => Object}] what the tape says of its fields, by their paths
      def self.tape_figures(tape, spec)
        heading = spec["heading"]
        kind = heading && R::Headings[heading["kind"]]
        return {} unless tape && kind&.tape == tape.spec["kind"]

        R::Tape.figures(tape.spec, heading, kind).transform_keys { |name| "heading.#{name}" }
      end

      private

      # A heading has the house's own figures for its kind.
      def started(start)
        (start.is_a?(Hash) && R::Headings[start["kind"]]) ? start.merge(first_set.heading(start["kind"], @unit)) : start
      end

      # Another heading starts from the house's rules for its kind, at the same fullness.
      def headed(spec, kind)
        rules = set(spec).heading(kind, @unit)
        heading = rules.key?("fullness") ? rules.merge(spec["heading"].slice("fullness")) : rules
        spec.except("tape").merge("heading" => heading)
      end

      # A lining starts from the house's rules; without its cloth there is none.
      def lined(spec, cloth)
        return spec.except("lining") unless cloth

        spec.merge("lining" => (spec["lining"] || @settled.lining(set(spec), @unit)).merge("cloth" => cloth))
      end

      def interlined(spec, cloth) =
        cloth ? spec.merge("interlining" => {"cloth" => cloth}) : spec.except("interlining")

      def ruled(spec, id)
        chosen = @settled.set(id) or return spec.except("rules")
        made = chosen.applied(spec, @unit)
        SpecFields.over(made, tape_figures(made))
      end

      # A tape brings its figures; what the one before said goes back to the rule.
      def taped(spec, id)
        was = tape_figures(spec).keys
        kind, set = spec.dig("heading", "kind"), set(spec)
        bare = SpecFields.over(spec.except("tape"), was.to_h { |path| [path, set.value(path, kind, @unit)] })
        tape = @settled.tape(id)
        return bare unless tape && R::Headings[kind]&.tape == tape.spec["kind"]

        made = bare.merge("tape" => tape.id.to_s)
        SpecFields.over(made, tape_figures(made))
      end

      # Another hem than the one that came is as deep, until somebody says otherwise.
      def hemmed(spec, kind)
        return spec.except("hem") unless kind

        spec.merge("hem" => (spec["hem"] || spec["existing_hem"] || {}).merge("kind" => kind))
      end

      # What comes out and the length that is wanted give each other: the one said last is kept.
      def pinned(spec, out) = SpecFields.set(out ? spec.except("wanted_length") : spec, "take_out_foot", out)

      def measured(spec, length) = SpecFields.set(length ? spec.except("take_out_foot") : spec, "wanted_length", length)

      # Into which row the hooks go decides how far they hang below.
      def hooked(spec, row)
        made = SpecFields.set(SpecFields.set(spec, "heading.hook_row", row), "heading.hook_below", nil)
        SpecFields.over(made, tape_figures(made))
      end

      def tape_figures(spec) = Starting.tape_figures(@settled.tape(spec["tape"]), spec)

      # Another method means other figures: what the one before meant goes back to the rule, and what this one means is
      # there, as the treatment's own set says it where that is its own method.
      def made_by(spec, name)
        set, kind = set(spec), spec.dig("heading", "kind")
        was, is = [spec["method"], name].map { |one| R::Methods::Kinds[one]&.figures(@unit) || {} }
        ruled = ->(path) { set.value(path, kind, @unit) }
        meant = was.keys.to_h { |path| [path, ruled.call(path)] }.merge(is)
        own = set.value("method", kind, @unit) == name
        meant = meant.to_h { |path, figure| [path, ruled.call(path) || figure] } if own
        meant = meant.reject { |path, _| path.start_with?("lining.") } unless spec["lining"]
        SpecFields.over(SpecFields.set(spec, "method", name), meant)
      end

      # The set of rules that the treatment takes.
      def set(spec) = @settled.set(spec["rules"]) || first_set

      def first_set = @settled.first_set
    end
  end
end
