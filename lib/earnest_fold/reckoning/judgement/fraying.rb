# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # Cloth that frays wants its edges sealed as it is cut.
      module Fraying
        CODE = "fraying"
        STATION = %w[cutting making].freeze
        MANNER = :say
        ON = Judgement.on(:lay, at: :cut, of: :frays)

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        #
        #   Judgement::Fraying.call(seen) # => nil
        def self.call(seen)
          {cloth: seen.cutting.cloth.name} if seen.cutting&.cloth&.frays
        end

        # @param touch [Touch]
        # @return [Hash]
        #
        #   touch = Touch.new(step: steps.first, operation: nil, layer: :face, material: cloth)
        #   Judgement::Fraying.touched(seen, touch) # => {:cloth=>""}
        def self.touched(_seen, touch) = {cloth: touch.material.name}
      end

      register(Fraying)
    end
  end
end
