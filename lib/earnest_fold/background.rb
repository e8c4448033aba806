# frozen_string_literal: true

module EarnestFold
  # What takes longer than a page may wait is worked out here, in processes of their own: it is asked for in the store,
  # and told there how far it is.
  module Background; end
end
