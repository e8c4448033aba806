# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # Hanging waits for the smallest part: count it now.
      module HardwareFirst
        CODE = "hardware_first"
        STATION = %w[heading cloth].freeze
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        #
        #   Judgement::HardwareFirst.call(seen) # => {:form=>:unknown, :part=>:hooks, :needed=>28}
        def self.call(seen)
          parts = seen.hardware.select { |part| sort(part).hangs && !carried?(seen, part) }
          short = parts.find(&:short)
          if short
            return {form: :short, part: short.name, needed: short.whole, on_hand: short.on_hand, short: short.short}
          end

          unknown = parts.reject(&:counted?).first
          {form: :unknown, part: unknown.name, needed: unknown.whole} if unknown
        end

        def self.sort(part) = Sundries::BY_NAME.fetch(part.name)
        private_class_method :sort

        def self.carried?(seen, part)
          there, needed = seen.treatment.support.carriers, seen.reckoning.carriers_needed
          sort(part).carried && there && needed && there >= needed
        end
        private_class_method :carried?
      end

      register(HardwareFirst)
    end
  end
end
