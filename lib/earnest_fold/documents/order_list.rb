# frozen_string_literal: true

require "csv"

module EarnestFold
  module Documents
    # What a job must have bought: each cloth with what it needs, what the shelf gives of it, and what to order, then
    # its small parts beyond what is on hand, as a table for a spreadsheet or on paper. One batch for each line of
    # cloth: cloth of two batches is never mixed in a curtain.
    class OrderList
      # One cloth: `needed` of it in all, `to_buy` beyond the shelf, `to_order` that up to the order step, `cost` of
      # it (nil where no price is known), and who it is for.
      ToBuy = Reckoning::Value.define(:cloth, :sold_by, :use, :needed, :to_buy, :to_order, :cost, :titles)

      # @param title [String] the job's
      # @param lines [Array<ToBuy>]
      # @param unit [Reckoning::Unit]
      # @param parts [Array<SundryRows::ToGet>]
      def initialize(title, lines, unit, parts: [])
        @title, @lines, @unit, @parts = title, lines, unit, parts
      end

      # @return [String]
      #
      #   Documents::OrderList.new("Sluice House", [], Units::CM).csv.lines.size # => 1
      def csv
        CSV.generate do |csv|
          csv << head
          @lines.each { |line| csv << cells(line).map { |cell| Cells.guarded(cell) } }
          @parts.each { |part| csv << part_cells(part).map { |cell| Cells.guarded(cell) } }
        end
      end

      # @return [String] the file
      #
      #   Documents::OrderList.new("Sluice House", [], Units::CM).pdf[0, 5] # => "%PDF-"
      def pdf
        paper = Paper.new(
          Words.say("order.title", title: @title),
          about: Words.say("cuts.figures_in", unit_name: Words.say("units.#{@unit.name}"))
        )
        return paper.note(Words.say("order.nothing")).render if @lines.empty? && @parts.empty?

        of_cloth(paper)
        paper.table(Words.say("order.parts"), part_head, part_rows, right: [1, 2, 3]) unless @parts.empty?
        paper.render
      end

      private

      def of_cloth(paper)
        return if @lines.empty?

        paper
          .table(Words.say("order.cloth"), head, @lines.map { |line| cells(line) }, right: [2, 3, 4, 5])
          .note(Words.say("order.one_batch"))
      end

      def part_head = %w[part needed to_order cost].map { |name| Words.say("order.#{name}") }

      def part_rows = @parts.map { |part| part_cells(part).values_at(0, 2, 4, 5) }

      def part_cells(part)
        amounts = [part.needed, part.to_get].map { |amount| figure(amount) }
        [part.says, "", *amounts, amounts.last, part.cost ? Words.money(part.cost) : "", ""]
      end

      def figure(amount) = amount.is_a?(Reckoning::Length) ? Words.with_unit(amount, @unit) : amount.to_s

      def head = %w[cloth use needed to_buy to_order cost for].map { |name| Words.say("order.#{name}") }

      def cells(line)
        [
          line.cloth,
          line.use,
          Words.with_unit(line.needed, @unit),
          Words.with_unit(line.to_buy, @unit),
          Words.bought(line.to_order, line.sold_by),
          line.cost ? Words.money(line.cost) : "",
          line.titles.join("; ")
        ]
      end
    end
  end
end
