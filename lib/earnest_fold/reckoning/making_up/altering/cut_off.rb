# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # What is too long cut off, on the side that is kept.
      module CutOff
        extend Kind

        CODE = "cut_off"
        RANK = 40
        NEEDS = %w[mark_lines compare_lines].freeze
        TOOLS = %i[table shears].freeze

        # @param work [AlteringCase]
        # @return [Array<Draft>]
        def self.call(work)
          return [] if work.alteration.tuck

          cuts = work.lines.select { |line| line.deed == :cut }
          return [] if cuts.empty?

          work.hands.map do |hand|
            draft(
              {**cuts.to_h { |line| [line.name, line.at] }, left_over: work.made.left_over},
              curtain: hand,
              times: {cut: work.across * cuts.size}
            )
          end
        end
      end

      AlteringKinds.register(CutOff::CODE, CutOff)
    end
  end
end
