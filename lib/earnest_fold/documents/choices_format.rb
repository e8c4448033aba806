# frozen_string_literal: true

module EarnestFold
  module Documents
    # The choices out: for each treatment its near alternatives side by side, as plain values for JSON.
    class ChoicesFormat
      # @param reckoning [Reckoning::JobReckoning]
      def initialize(reckoning)
        @reckoning = reckoning
      end

      # @return [Hash]
      #
      #   Documents::ChoicesFormat.new(JobReckoning.new(job)).to_h.keys # => ["format", "version", "treatments"]
      def to_h
        {
          "format" => "earnest-fold/choices",
          "version" => 1,
          "treatments" => @reckoning.treatments.to_h { |made| [made.id, treatment(made)] }
        }
      end

      private

      def treatment(made) =
        {
          "choices" => Reckoning::Choices.all(made).map { |choice| choice(choice) },
          "near_counts" => near_counts(made)
        }

      def choice(choice)
        Plain.value(
          "kind" => choice.kind.to_s,
          "name" => name(choice),
          "chosen" => choice.chosen?,
          "widths_total" => choice.reckoning.widths_total,
          "fullness" => choice.reckoning.curtains.map { |curtain| Plain.ratio(curtain.fullness) },
          "length_to_order" => choice.length,
          "cost" => choice.cost && Words.money(choice.cost),
          "checks" => choice.reckoning.checks.map(&:code)
        )
      end

      def name(choice) = (choice.kind == :widths) ? Plain.widths(choice.name) : choice.name

      def near_counts(made)
        heading = made.treatment.heading
        made.curtains.map do |curtain|
          {
            "hand" => curtain.hand,
            "counts" =>
              heading
                .near_counts(curtain.task, curtain.heading)
                .map { |near| Plain.value(near.to_h.except(:detail).merge(near.detail)) }
          }
        end
      end
    end
  end
end
