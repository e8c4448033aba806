# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # Cautions that can be ticked, and stand there all the same.
      module SeeingTo
        # @param remark [Reckoning::Remark]
        # @return [String, nil] when it was seen to, and by whom
        def seen_to(remark)
          said = @log&.seen_to(remark.code)
          said && Words.say("making.seen_by", at: said.at.utc.strftime("%-d %b, %H:%M UTC"), by: said.by)
        end
      end
    end
  end
end
