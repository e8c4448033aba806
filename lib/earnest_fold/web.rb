# frozen_string_literal: true

module EarnestFold
  # The screens in a browser. A route reads (a form), does (one call) and shows (one screen); a view gets one `screen`.
  module Web; end
end
