# frozen_string_literal: true

module EarnestFold
  module Documents
    # How near each treatment is to another answer, as plain values for JSON: for each figure that moves it, the last
    # value below and above that gives the same, the next one, which gives another, and what is other there. Lengths in
    # millimetres; a fullness as its ratio.
    class NearFormat
      # @param reckoning [Reckoning::JobReckoning]
      def initialize(reckoning)
        @reckoning = reckoning
      end

      # @return [Hash]
      #
      #   Documents::NearFormat.new(job.reckon).to_h.keys # => ["format", "version", "step", "treatments"]
      def to_h = {
        "format" => "earnest-fold/near",
        "version" => 1,
        "step" => Plain.decimal(unit.step, 4),
        "treatments" => @reckoning.treatments.to_h { |made| [made.id, treatment(made)] }
      }

      private

      def unit = @reckoning.job.unit

      def treatment(made)
        now = Reckoning::Nearness::Outcome.new(made)
        {"figures" => Reckoning::Nearness.of(made.treatment, unit).map { |near| figure(near, now) }}
      end

      def figure(near, now) = {
        "figure" => near.figure.path,
        "sort" => near.figure.sort.to_s,
        "at" => amount(near.at),
        "below" => near.below && edge(near.below, now),
        "above" => near.above && edge(near.above, now)
      }.compact

      def edge(edge, now)
        told = {"last" => edge.last, "beyond" => edge.beyond, "apart" => edge.apart}
        told = told.transform_values { |one| amount(one) }
        edge.outcome ? told.merge(changed(edge.outcome, now)) : told.merge("refused" => true)
      end

      def changed(outcome, now)
        other = now.parts.keys.reject { |part| now.parts[part] == outcome.parts[part] }
        {
          "changes" => other.to_h { |part| [part.to_s, [now, outcome].map { |one| Plain.value(one.parts[part]) }] },
          "length_more" => Plain.value(outcome.more(now, :lengths)),
          "cost_more" => outcome.cost && now.cost && Plain.decimal(outcome.cost - now.cost, 2)
        }.compact
      end

      def amount(number) = Plain.decimal(number, 4)
    end
  end
end
