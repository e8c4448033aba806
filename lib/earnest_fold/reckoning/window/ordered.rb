# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # What somebody else ordered who measured the window themselves: of each curtain its finished width, drop, cut
    # length, widths of cloth and pleats; nil where they said nothing of it. Width and drop are made as they were
    # ordered, and need no window measured; of the others, what the rules make stands beside.
    class Ordered < Value.define(:finished_width, :finished_drop, :cut_length, :widths, :pleats)
      FIELDS = Fields.new(
        finished_width: Declare.length(nil, least: :over_zero, sane: Length.mm(20_000)),
        finished_drop: Declare.length(nil, least: :over_zero, sane: Length.mm(20_000)),
        cut_length: Declare.length(nil, least: :over_zero, sane: Length.mm(20_000)),
        widths: [FieldKinds::WidthsKind.new, nil],
        pleats: Declare.count(nil, least: 1, most: 2000)
      )
      NOTHING = new(**FIELDS.to_h { |field| [field.name, nil] })
      # A figure as it was ordered beside what the rules make of it; `hand` the curtain, nil where it is all of them.
      Beside = Value.define(:name, :hand, :ordered, :made) do
        # @return [Boolean]
        #
        #   treatment.ordered.with(finished_drop: Length.cm(212)).beside(reckoning).map(&:differs?) # => [true]
        def differs? = ordered != made
      end

      # @param raw [Object] a treatment as it is written
      # @return [Object] the same; where a drop was ordered and none measured, the drop that was ordered is its reading
      #
      #   Ordered.measured({"widths" => "4"}) # => {"widths"=>"4"}
      def self.measured(raw)
        ordered, drop = raw.values_at("ordered", "drop") if raw.is_a?(Hash)
        given = ordered["finished_drop"] if ordered.is_a?(Hash)
        return raw if given.nil? || !(drop.nil? || drop.is_a?(Hash)) || !Array(drop&.fetch("readings", nil)).empty?

        raw.merge("drop" => (drop || {}).merge("readings" => [given]))
      end

      # @return [Boolean] whether anything was ordered
      #
      #   treatment.ordered.any? # => false
      def any? = self != NOTHING

      # @param spans [Array<Span>] as the window gives them
      # @return [Array<Span>] as wide as they were ordered
      #
      #   treatment.ordered.as_wide(treatment.spans).size # => 2
      def as_wide(spans) =
        finished_width ? spans.map { |span| span.with(finished_width: finished_width, expression: [].freeze) } : spans

      # @param opening [Opening]
      # @return [Length, nil] a support's length where nobody measured it: the curtains side by side
      #
      #   treatment.ordered.with(finished_width: Length.cm(95)).likely_support(treatment.opening) # => 1900 mm
      def likely_support(opening) = finished_width && finished_width * opening.curtains

      # @param drop [Drop]
      # @return [Boolean] whether a drop was measured besides
      #
      #   treatment.ordered.measured_drop?(treatment.drop) # => true
      def measured_drop?(drop) = drop.readings != [finished_drop]

      # @param reckoning [TreatmentReckoning]
      # @return [Array<Beside>] each figure that was ordered, beside what the rules make of it
      #
      #   treatment.ordered.with(finished_drop: Length.cm(212)).beside(reckoning).map(&:name) # => [:finished_drop]
      def beside(reckoning) = whole(reckoning) + each_curtain(reckoning)

      private

      def whole(reckoning)
        treatment = reckoning.treatment
        rules_drop = treatment.measured_drop if finished_drop && measured_drop?(treatment.drop)
        [
          (Beside.new(name: :finished_drop, hand: nil, ordered: finished_drop, made: rules_drop) if rules_drop),
          (Beside.new(name: :cut_length, hand: nil, ordered: cut_length, made: reckoning.cut_length) if cut_length)
        ].compact
      end

      def each_curtain(reckoning)
        treatment = reckoning.treatment
        measured = treatment.support.length != likely_support(treatment.opening)
        reckoning.curtains.zip(treatment.measured_spans).flat_map do |curtain, span|
          made = {
            finished_width: (span.finished_width if measured),
            widths: (curtain.widths unless treatment.sideways?),
            pleats: curtain.heading[:pleats]
          }
          made.compact.filter_map do |name, figure|
            given = public_send(name)
            given && Beside.new(name: name, hand: curtain.hand, ordered: given, made: figure)
          end
        end
      end
    end
  end
end
