# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Checks
      # A cloth run sideways doesn't cover its cut drop.
      module ClothTooNarrowToRailroad
        CODE = "cloth_too_narrow_to_railroad"
        LEVEL = :stop
        AT = %w[run face].freeze

        # @param reckoning [TreatmentReckoning]
        # @return [Hash, nil]
        #
        #   Checks::ClothTooNarrowToRailroad.call(reckoning) # => nil
        def self.call(reckoning)
          cuts = [reckoning.drop_cut, reckoning.lining&.drop_cut].compact
          narrow = cuts.find { |cut| cut.sideways && cut.cloth.usable_width < cut.cut_drop }
          {usable: narrow.cloth.usable_width, cut_drop: narrow.cut_drop} if narrow
        end
      end

      Kinds.register(ClothTooNarrowToRailroad::CODE, ClothTooNarrowToRailroad)
    end
  end
end
