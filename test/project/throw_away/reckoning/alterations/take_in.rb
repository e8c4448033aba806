# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # Taken in at one side, as long as it was.
    class TakeIn < Value.define(:existing_length, :wanted_length, :stand_up, :taken)
      include Alteration

      KIND = "take_in"
      FIELDS = Fields.new(
        **AskedOfCurtain::LENGTHS,
        **Declare.at("alter", taken: Declare.starting("5 cm", Declare.length(least: :over_zero)))
      )
      EXAMPLE = {"kind" => KIND, "existing_length" => "2 m", "wanted_length" => "2 m", "taken" => "5 cm"}.freeze

      def let_down = false

      def figures = {taken: taken}

      def edges = {top: :kept, sides: :new, hem: :kept}
    end

    Alterations.register(TakeIn::KIND, TakeIn)
  end
end
