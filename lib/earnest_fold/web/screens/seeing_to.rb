# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # Cautions that can be ticked, and stand there all the same. Who includes it has a `@log` ({Work::BenchLog},
      # or nil),
      # says of which treatment it speaks (`path`), by which `house`, and where it stands itself (`here`).
      module SeeingTo
        # @param remark [Reckoning::Remark]
        # @return [String, nil] when it was seen to, and by whom
        def seen_to(remark)
          said = @log&.seen_to(remark.code)
          said && Words.say("making.seen_by", at: WallClock.new(house.diary.zone).moment(said.at), by: said.by)
        end

        # @return [String] where it is said
        def seen_to_path = path("seen-to")

        # @return [String] this page
        def here = path
      end
    end
  end
end
