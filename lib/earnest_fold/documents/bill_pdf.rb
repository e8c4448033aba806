# frozen_string_literal: true

module EarnestFold
  module Documents
    # A quote, an order or an invoice as PDF, from what was written down when it went out.
    class BillPdf
      # @param kind [String] "quote", "order" or "invoice"
      # @param number [Integer]
      # @param day [String] in words
      # @param content [Hash] as it was kept
      def initialize(kind, number, day, content)
        @kind, @number, @day, @content = kind, number, day, content
      end

      # @return [String] the file
      def render
        paper = Paper.new(
          Words.paper(@kind, @number),
          about: "#{@content["house"]} · #{@day}"
        )
        paper.note(@content["customer"]) unless @content["customer"].to_s.empty?
        paper.table(
          @content["title"],
          [Words.say("papers.line"), @content["currency"]],
          @content["lines"].map { |line| [line["words"], line["amount"]] } + sums + paid,
          right: [1],
          widths: {1 => 90}
        )
        paper.note(Words.say("papers.notes.#{@kind}"))
        paper.render
      end

      private

      # What was paid before it was written, and what is open.
      def paid =
        %w[paid open].filter_map { |name| @content[name] && [Words.say("papers.#{name}"), @content[name]] }

      def sums = BillContent.sums(@content).map { |_, words, sum| [words, sum] }
    end
  end
end
