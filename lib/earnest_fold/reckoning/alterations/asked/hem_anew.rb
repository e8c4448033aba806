# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # A hem that is sewn anew: the one that came, of its kind and depth, where no other was asked for.
    module HemAnew
      # By what it is sewn; as the house does where nobody says otherwise.
      SEWN_BY = %w[hand machine].freeze
      FIELDS = Declare.at("alter", sewn_by: Declare.choice(SEWN_BY, nil, said: "alter.sewn_by")).freeze

      # How one is made of what was said.
      module Hemming
        # @param values [Hash] as FIELDS read them
        # @param problems [Problems]
        # @return [Alteration, nil] nil where neither hem is known
        #
        #   ShortenAtHem.build({existing_hem: Allowance::NONE}, Problems.new) # => nil
        def build(values, problems)
          hem = values[:hem] || values[:existing_hem]
          return problems.within(:existing_hem).add(:missing) if values[:hem].nil? && hem.taken.zero?

          super(values.merge(hem: hem), problems)
        end
      end

      def self.included(kind) = kind.extend(Hemming)

      # @return [Allowance, nil] the same hem made double, where it is single and there is cloth for it
      #
      #   single = Allowance.new(kind: "single", depth: Length.cm(5), turn_under: Length.cm(1))
      #   altered("shorten_at_hem").with(hem: single).doubled.depth # => 50 mm
      def doubled
        double = Allowance.new(kind: "double", depth: hem.depth, turn_under: Length::ZERO)
        double if hem.kind == "single" && from_the_top + double.taken <= available
      end
    end
  end
end
