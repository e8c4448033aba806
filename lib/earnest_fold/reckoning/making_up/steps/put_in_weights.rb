# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # Weights into the corners and at the foot of each seam, slipped in at the fold.
      module PutInWeights
        extend Kind

        CODE = "put_in_weights"
        RANK = 57
        NEEDS = %w[press_hem].freeze
        TOOLS = %i[needle].freeze

        # @param work [MakingCase]
        # @return [Array<Draft>]
        def self.call(work)
          return [] if work.making.hem.taken.zero?

          work.curtains.map do |curtain|
            draft({weights: curtain.weights}, curtain: curtain.hand, times: {weight: curtain.weights})
          end
        end

        def self.rank(house) = (house.making_order == "heading_first") ? 87 : RANK
      end

      Kinds.register(PutInWeights::CODE, PutInWeights)
    end
  end
end
