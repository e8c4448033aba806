# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # Hooks, gliders or rings counted and put in.
      module PutInHooks
        extend Kind

        CODE = "put_in_hooks"
        RANK = 90
        NEEDS = %w[form_heading].freeze
        TOOLS = %i[count].freeze

        # @param work [MakingCase]
        # @return [Array<Draft>]
        def self.call(work)
          work.curtains.filter_map do |curtain|
            count = curtain.heading[:hooks] || curtain.heading[:rings] or next
            draft({hooks: count, pin_setting: pin_setting(work.heading)}, curtain: curtain.hand, times: {hook: count})
          end
        end

        # @return [Length, nil] how far below the top edge the pins go
        def self.pin_setting(heading) =
          (heading.respond_to?(:pin_setting) && heading.pin_setting.positive?) ? heading.pin_setting : nil
      end

      Kinds.register(PutInHooks::CODE, PutInHooks)
    end
  end
end
