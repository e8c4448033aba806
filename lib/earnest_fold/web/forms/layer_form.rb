# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # One more layer at a window, behind what hangs there or before it: measured alike, made as the house makes it,
      # or a copy.
      class LayerForm
        # What a window is, whatever hangs at it.
        SHARED = %w[opening drop site wall].freeze

        # @param sheet [Work::Job]
        # @param entry [Work::Treatment] the layer beside which it goes
        # @param params [Hash]
        def initialize(sheet, entry, params)
          @sheet, @entry, @params = sheet, entry, params
        end

        def behind? = @params["side"] == "behind"

        def copy? = @params["like"] == "copy"

        # @return [Hash]
        def spec
          own = @entry.record.spec
          return named(own.except("answers")) if copy?

          named(
            @sheet.settled.starting_set.applied(
              {"support" => own.fetch("support", {}).slice("kind", "length")}.merge(own.slice(*SHARED)),
              @sheet.unit
            )
          )
        end

        private

        def named(spec) = spec.merge("name" => Words.say(behind? ? "layers.behind" : "layers.before"))
      end
    end
  end
end
