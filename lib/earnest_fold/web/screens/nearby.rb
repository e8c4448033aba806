# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # How near a treatment is to another answer: asked for once the page is there, as looking round takes longer than
      # reckoning.
      module Nearby
        # @return [Array<NearFigures::Shown>] none before there is an answer
        def near = @near ||= reckoning ? once(:near) { NearFigures.new(reckoning, unit).shown } : []
      end
    end
  end
end
