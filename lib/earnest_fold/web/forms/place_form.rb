# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # In which room a window is, and what it is called there; one of the two is enough.
      class PlaceForm < TextsForm
        NAMES, FIELDS, CALLED, MAIL = %w[room name].freeze, Store::Windows::FIELDS, "job.place", nil

        # @param window [Store::Records::Window]
        # @param params [Hash, nil] nil before anything was typed
        def initialize(window, params)
          super
          refuse("room", :window_missing) if params && valid? && values.values.all?(&:empty?)
        end
      end
    end
  end
end
