# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # The workroom's heading tapes.
      class Tapes
        attr_reader :unit, :tapes

        # @param tapes [Array<Store::Records::Tape>]
        def initialize(tapes, unit)
          @tapes, @unit = tapes, unit
        end

        def page_title = Words.say("tapes.title")

        # @return [String] a figure of one as a person reads it; "" where nobody has said it
        def shown(tape, name) = Reckoning::Tape::FIELDS.fetch(name).kind.show(tape.spec[name.to_s], unit)
      end
    end
  end
end
