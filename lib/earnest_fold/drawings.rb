# frozen_string_literal: true

module EarnestFold
  # Drawings to scale, in SVG, from core values and a unit: one file per drawing. They hold no rules of the trade;
  # what they show is what the core reckoned. Every drawing escapes its own text.
  module Drawings; end
end
