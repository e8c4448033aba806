# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # All that was left to others lately, the last first.
      class Errands
        # @return [Array<Errand>]
        attr_reader :rows

        # @param errands [Array<Store::Errands::Errand>]
        def initialize(errands)
          @rows = errands.map { |errand| Errand.new(errand) }
        end

        def page_title = Words.say("errands.title")
      end
    end
  end
end
