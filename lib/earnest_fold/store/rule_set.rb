# frozen_string_literal: true

module EarnestFold
  module Store
    # A named set of the house's rules: what a treatment's making, lining and headings start from, and what they are
    # held against. Its `spec` has one part for the metric tape and one for inches; what inches don't say, the metric
    # part does.
    class RuleSet < Reckoning::Value.define(:id, :name, :spec, :version)
      # What a set says of the whole making.
      HABITS = %w[method weighting].freeze

      # @param members [Hash{Symbol => Object}]
      def initialize(**members)
        @tapes, @headings = {}, {}
        super
      end

      # @param unit [Reckoning::Unit]
      # @return [Hash] in the job format: "making", "lining" (where the set has one) and "headings" by kind
      def for(unit)
        return spec.fetch("metric") unless unit.inches?

        @tapes[:inches] ||= RuleSet.over(spec.fetch("metric"), spec.fetch("inches", {})).freeze
      end

      # @return [Hash, nil]
      def making(unit) = self.for(unit).fetch("making", {})

      # @return [Hash, nil] nil where the set says nothing of linings
      def lining(unit) = self.for(unit)["lining"]

      # @param kind [String]
      # @return [Hash] the kind's own figures; its example's where the set says nothing of it
      def heading(kind, unit) =
        @headings[[kind, unit.inches?]] ||= {"kind" => kind}.merge(
          self.for(unit).fetch("headings", {}).fetch(kind) { Reckoning::Headings.fetch(kind).example.except("kind") }
        ).freeze

      # @param path [String] a field of a treatment
      # @param kind [String] of its heading
      # @param unit [Reckoning::Unit]
      # @return [Object, nil] what the set says of the field
      def value(path, kind, unit)
        return if path == "heading.kind"

        part, *steps = path.split(".")
        inside = (part == "heading") ? heading(kind, unit) : self.for(unit)[part]
        if steps.empty?
          inside unless inside.is_a?(Hash)
        else
          steps.reduce(inside) { |within, step| within.is_a?(Hash) ? within[step] : nil }
        end
      end

      # @param spec [Hash] a treatment's
      # @return [Hash] the same with everything this set speaks of as it says, and its name
      def applied(spec, unit)
        made = spec.merge(
          "making" => spec.fetch("making", {}).slice("widths").merge(making(unit)),
          "heading" => heading(spec.dig("heading", "kind") || "pencil_pleat", unit),
          "rules" => id.to_s
        ).merge(self.for(unit).slice(*HABITS))
        if made["lining"] && lining(unit)
          made.merge("lining" => lining(unit).merge(made["lining"].slice("cloth", "run")))
        else
          made
        end
      end

      # @api private
      def self.over(under, upper)
        under.merge(upper) { |_, low, high| (low.is_a?(Hash) && high.is_a?(Hash)) ? over(low, high) : high }
      end
    end
  end
end
