# frozen_string_literal: true

module EarnestFold
  # The root of everything that this application raises of its own: each room has a few kinds below it, and the web
  # answers each of them by one table ({Web::Failures}). What is no Error is a fault of the program's.
  class Error < StandardError; end
end
