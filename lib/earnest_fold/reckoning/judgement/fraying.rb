# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # Cloth that frays wants its edges sealed as it is cut.
      module Fraying
        CODE = "fraying"
        STATION = %w[cutting making].freeze
        STEP = "lay_out_cuts"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          {cloth: cloth(seen).name} if cloth(seen)&.frays
        end

        def self.cloth(seen) = seen.cutting ? seen.cutting.cloth : seen.treatment.face
      end

      register(Fraying)
    end
  end
end
