# frozen_string_literal: true

require "csv"

module EarnestFold
  module Documents
    # What a job needs, for a spreadsheet: cloth by cloth, then the sundries.
    class NeedsCsv
      R = Reckoning

      # @param treatments [Array<Reckoning::TreatmentReckoning>]
      # @param cloths [Array<Reckoning::ClothReckoning>]
      # @param unit [Reckoning::Unit]
      def initialize(treatments, cloths, unit)
        @treatments, @cloths, @unit = treatments, cloths, unit
      end

      # @return [String]
      def text
        CSV.generate do |csv|
          csv << row("needs.what", "needs.use", "needs.amount", "needs.unit", "needs.to_order", "needs.cost")
          @cloths.each { |made| csv << cloth(made) }
          sundries.each { |name, amount| csv << [Words.say("sundries.#{name}"), "", *amount_cells(amount), "", ""] }
        end
      end

      private

      def row(*keys) = keys.map { |key| Words.say(key) }

      def cloth(made)
        [
          Cells.guarded(made.cloth.name),
          Words.say("uses.#{made.cloth.use}"),
          *amount_cells(made.length_needed),
          Words.metres(made.length_to_order),
          made.cost ? Words.money(made.cost) : ""
        ]
      end

      def amount_cells(amount) = amount.is_a?(R::Length) ? [Words.length(amount, @unit), @unit.name] : [amount.to_s, ""]

      def sundries = R::HardwareCount.total(@treatments)
    end
  end
end
