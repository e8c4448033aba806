# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # Tape, buckram or webbing laid on, started as its kind wants it, tried before it is sewn.
      module PutOnHeading
        extend Kind

        CODE = "put_on_heading"
        RANK = 78
        NEEDS = %w[turn_top].freeze
        TOOLS = %i[tape pins machine].freeze

        # @param work [MakingCase]
        # @return [Array<Draft>]
        def self.call(work)
          work.curtains.filter_map do |curtain|
            figures = curtain.heading
            length = figures[:tape_length] || figures[:buckram_length] or next
            draft(
              {length: length, turned_in: turn_in(work.heading), pockets: figures[:pockets]},
              curtain: curtain.hand,
              times: {set_up: 1, tape: metres(length)}
            )
          end
        end

        # @return [Length, nil] what the tape takes at each end
        def self.turn_in(heading) =
          (heading.respond_to?(:tape_turn_in) && heading.tape_turn_in.positive?) ? heading.tape_turn_in : nil
      end

      Kinds.register(PutOnHeading::CODE, PutOnHeading)
    end
  end
end
