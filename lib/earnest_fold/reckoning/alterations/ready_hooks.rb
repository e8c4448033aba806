# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # A ready panel whose tape is on it already, given hooks: nothing is cut. Its pockets are counted as they are; hooks
    # with several prongs skip so many pockets between them, plain ones go into every so manieth.
    class ReadyHooks < Value.define(
      :existing_length,
      :stand_up,
      :pockets,
      :skips,
      :hooks,
      :pockets_a_hook,
      :edge,
      :end_hooks,
      :rings
    )
      include Alteration
      include NothingCut

      KIND = "ready_hooks"
      FIELDS = Fields.new(
        **NothingCut::LENGTHS,
        **Declare.at("measure", pockets: Declare.count(least: 1, most: 5_000)),
        **Declare.at(
          "alter",
          hooks: Declare.count(nil, least: 1, most: Heading::MOST_PLEATS),
          skips: [FieldKinds::CountListKind.new, nil],
          edge: Declare.starting(4, Declare.count(4, least: 0, most: 1000)),
          pockets_a_hook: Declare.count(nil, least: 1, most: 1000),
          end_hooks: Declare.flag(false),
          rings: Declare.flag(false)
        )
      )
      EXAMPLE = {
        "kind" => KIND,
        "existing_length" => "214 cm",
        "pockets" => 104,
        "hooks" => 7,
        "skips" => [3, 3, 3],
        "edge" => 4,
        "end_hooks" => true,
        "rings" => true
      }.freeze

      def self.place = 70
      # Usually every fourth pocket takes a plain hook.
      USUAL_POCKETS = 4

      # @return [ReadyHooks, nil] nil where hooks with prongs were asked for and nobody said how many
      #
      #   ReadyHooks.build({skips: [1], hooks: nil}, Problems.new) # => nil
      def self.build(values, problems)
        problems.within(:hooks).add(:missing) if values[:skips] && values[:hooks].nil?
        super unless problems.any?
      end

      def figures = pronged? ? {**all(hooks), **placing} : all(plain)

      def checks
        return [] if !pronged? || fits?

        [stop("pockets_short", "hooks", "pockets", pockets: pockets, needed: hooks * taken + hooks - 1 + 2 * edge)]
      end

      def working
        return [Line.of(:hooks, plain, ["(", pockets, "−", 1, ")", "÷", every, "↑", "+", 1])] unless pronged?

        [Line.of(:pockets_flat, pockets - hooks * taken, [pockets, "−", hooks, "×", taken])]
      end

      # @return [Array<Array<Integer>>] the pockets that each hook's prongs go into, from the leading edge
      #
      #   altered("ready_hooks").pockets_of.size # => 7
      def pockets_of = pronged? ? ProngedPockets.of(skips, placing.merge(hooks: hooks)) : plain_pockets

      def hooked_by
        told = pronged? ? {pockets_of: pockets_of} : {every: every, pockets: pockets}
        ends = end_hooks ? {end_hooks: 2} : {}
        {figures: {hooks: pronged? ? hooks : plain, **told, **ends, **(rings ? {rings: figures[:rings]} : {})}}
      end

      private

      def pronged? = !skips.nil? && !hooks.nil?

      def taken = skips.sum

      def every = pockets_a_hook || USUAL_POCKETS

      def plain = hooks || (Rational(pockets - 1, every).ceil + 1)

      def plain_pockets = ((1..pockets).step(every).to_a | [pockets]).zip

      def fits? = pockets >= hooks * taken + hooks - 1 + 2 * edge

      def placing = ProngedPockets.placing(pockets, hooks, taken, edge)

      def all(count)
        whole = count + (end_hooks ? 2 : 0)
        rings ? {hooks_in_all: whole, rings: whole} : {hooks_in_all: whole}
      end
    end

    Alterations.register(ReadyHooks::KIND, ReadyHooks)
  end
end
