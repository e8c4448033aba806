# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # Marks and faults noted by place before anything is touched.
      module NoteCondition
        extend Kind

        CODE = "note_condition"
        RANK = 10
        NEEDS = [].freeze
        TOOLS = %i[table].freeze

        # @param work [AlteringCase]
        # @return [Array<Draft>]
        def self.call(work)
          [draft({curtains: work.curtain.curtains}, times: {mark: work.curtain.curtains})]
        end
      end

      AlteringKinds.register(NoteCondition::CODE, NoteCondition)
    end
  end
end
