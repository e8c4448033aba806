# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # Hanging, for somebody's own curtain: how long it is to be, and what it was like when it came.
      class AlterHanging < Hanging
        include Altering

        def papers = {"slip.pdf" => "came_in.slip"}

        def not_yet = [Words.say("alter.not_yet"), "alter"]
      end
    end
  end
end
