# frozen_string_literal: true

require "csv"

module EarnestFold
  module Documents
    # What a job needs, for a spreadsheet: cloth by cloth, then the sundries.
    class NeedsCsv
      R = Reckoning

      # @param works [Array<Reckoning::TreatmentReckoning, Reckoning::AlterationOfJob>]
      # @param cloths [Array<Reckoning::ClothReckoning>]
      # @param unit [Reckoning::Unit]
      # @param tapes [Hash{String => Reckoning::Tape}] those that they take, by id
      # @param parts [Hash{String => Reckoning::Length}] what is cut beside the curtains, by the cloth's id
      def initialize(works, cloths, unit, tapes: {}, parts: {})
        @cloths, @unit, @parts = cloths, unit, parts
        @sundries = SundryRows.new(works, tapes)
      end

      # @return [String]
      #
      #   Documents::NeedsCsv.new([reckoning], [], Units::CM).text.lines.size # => 4
      def text
        CSV.generate do |csv|
          csv << row("needs.what", "needs.use", "needs.amount", "needs.unit", "needs.to_order", "needs.cost")
          @cloths.each do |made|
            csv << cloth(made)
            csv << beside(made.cloth) if @parts[made.cloth.id]
          end
          @sundries.to_a.each { |one| csv << sundry(one) }
        end
      end

      private

      def row(*keys) = keys.map { |key| Words.say(key) }

      def cloth(made)
        [
          Cells.guarded(made.cloth.name),
          Words.say("uses.#{made.cloth.use}"),
          *amount_cells(made.length_needed),
          Words.to_order(made),
          made.cost ? Words.money(made.cost) : ""
        ]
      end

      def beside(cloth) =
        [Cells.guarded(Words.say("needs.beside", cloth: cloth.name)), "", *amount_cells(@parts[cloth.id]), "", ""]

      def sundry(one) =
        [Cells.guarded(one.says), "", *amount_cells(one.amount), "", one.cost ? Words.money(one.cost) : ""]

      def amount_cells(amount)
        return [amount.to_s, ""] unless amount.is_a?(R::Length)

        [Words.length(amount, @unit), Words.unit(@unit)]
      end
    end
  end
end
