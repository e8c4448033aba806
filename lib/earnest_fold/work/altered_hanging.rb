# frozen_string_literal: true

module EarnestFold
  module Work
    # What hanging somebody's own curtain takes, as {Hanging} answers it: it goes back where it came from, or hangs from
    # what was measured for it.
    class AlteredHanging
      R = Reckoning

      # @param work [Alteration] that is reckoned
      def initialize(work)
        @work = work
      end

      # @return [Array<String>] one for each curtain
      #
      #   own.hanging(in_hand).hands # => ["single"]
      def hands = @work.hands

      # @return [Array<Told>] as it hung before, where nobody measured what it hangs from
      #
      #   own.hanging(in_hand).order.size # => 0
      def order = spans.empty? ? [] : [first_check, *hung, *dressing, Told.of("hanging.last")]

      # @return [Hash{Symbol => Integer}] nothing where it has its own; else what isn't made into the curtains
      #
      #   own.hanging(in_hand).carried.keys # => []
      def carried = @work.reckoning.sundries.reject { |name, _| R::Sundries::BY_NAME.fetch(name).sewn_in }

      # @return [Array<Array(String, Told)>] each curtain with the edge that leads, or as it came
      #
      #   own.hanging(in_hand).edges.size # => 1
      def edges
        return hands.map { |hand| [hand, Told.of("alter.as_it_came")] } if spans.empty?

        spans.map { |span| [span.hand, Told.of("hanging.leads_#{span.leads}")] }
      end

      # @return [Array<Array(Told, Reckoning::Length)>] the lengths to check when it hangs
      #
      #   own.hanging(in_hand).lengths.size # => 2
      def lengths
        asked = alteration.cuts_nothing? ? [] : [[Told.of("fields.wanted_length"), alteration.wanted_length]]
        [
          *support,
          [Told.of("work_figures.length_at_last"), alteration.length_at_last],
          *asked,
          *([[Told.of("fields.stand_up"), alteration.stand_up]] unless alteration.stand_up.zero?),
          *spans.map { |span| [Told.of("hanging.width_of", hand: span.hand), span.finished_width] }
        ]
      end

      # @return [Reckoning::MakingUp::Measured] its length, at both edges
      #
      #   own.hanging(in_hand).check.planned # => 1640 mm
      def check =
        R::MakingUp::Measured.new(
          name: :length_at_last,
          planned: alteration.length_at_last,
          tolerance: Hanging::TOLERANCE,
          places: R::MakingUp::EDGES
        )

      private

      def alteration = @work.reckoning.alteration

      def spans = alteration.spans

      def support =
        spans.empty? ? [] : [[Told.of("hanging.support"), alteration.support_length]]

      def first_check =
        Told.of("hanging.first.#{alteration.hung_from}", length: alteration.support_length)

      def hung
        one = alteration.headed
        PuttingUp.new(
          title: @work.title,
          heading: alteration.heading,
          support: alteration.hung_from,
          curtains: spans.map { |span| one.with(span: span) }
        ).order
      end

      def dressing =
        alteration.heading.dressed? ? [Told.of("hanging.dress", days: @work.house.diary.setting_days)] : []
    end
  end
end
