# frozen_string_literal: true

module EarnestFold
  # Documents in and out: the job format, the reckoning and the plan as JSON. One file per document.
  module Documents; end
end
