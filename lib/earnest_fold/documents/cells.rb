# frozen_string_literal: true

module EarnestFold
  module Documents
    # What every table for a spreadsheet minds: cells that it would take for a formula are guarded.
    module Cells
      FORMULA = /\A[=+\-@\t\r]/

      module_function

      # @param text [String]
      # @return [String]
      #
      #   Documents::Cells.guarded("=1+1") # => "'=1+1"
      def guarded(text) = FORMULA.match?(text) ? "'#{text}" : text

      # @param text [String, nil] a cell as a spreadsheet gives it back
      # @return [String]
      #
      #   Documents::Cells.bare("'=1+1") # => "=1+1"
      def bare(text) = text.to_s.strip.sub(/\A'(?=[=+\-@])/, "")
    end
  end
end
