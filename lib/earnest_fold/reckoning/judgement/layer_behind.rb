# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # Two layers on one window: the front return must clear the one behind.
      module LayerBehind
        CODE = "layer_behind"
        STATION = "measure"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        #
        #   Judgement::LayerBehind.call(seen) # => nil
        def self.call(seen)
          return unless seen.behind
          return {form: :unknown, gap: seen.house.layer_gap} unless seen.behind.support.projection

          needed = reach(seen.behind) + seen.house.layer_gap
          given = [seen.treatment.return_left, seen.treatment.return_right].min
          if given < needed
            {form: :short, given: given, reach: reach(seen.behind), gap: seen.house.layer_gap, needed: needed}
          end
        end

        # How far from the wall the layer behind comes.
        #
        #   Judgement::LayerBehind.reach(given({"support/projection" => "12 cm"})) # => 146 mm
        def self.reach(behind)
          curtain = Curtain.asked(behind, behind.spans.first)
          behind.support.projection + behind.heading.fold_depth(curtain.task, curtain.heading)
        end
      end

      register(LayerBehind)
    end
  end
end
