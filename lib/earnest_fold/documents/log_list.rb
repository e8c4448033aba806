# frozen_string_literal: true

require "csv"
require "json"

module EarnestFold
  module Documents
    # The logbook as CSV and as JSON: the same rows, each of one sort (a time, something learnt, a drop as made).
    class LogList
      COLUMNS = %w[job work cloth batches sort step curtain edge planned_minutes real_minutes corrected as_made
        went_wrong next_time by at].freeze

      # @param rows [Array<Hash{String => String}>]
      def initialize(rows)
        @rows = rows
      end

      # @return [String]
      #
      #   Documents::LogList.new([]).csv.lines.size # => 1
      def csv =
        CSV.generate do |csv|
          [COLUMNS, *@rows.map { |row| row.values_at(*COLUMNS).map { |cell| Cells.guarded(cell.to_s) } }].each do |row|
            csv << row
          end
        end

      # @return [String]
      #
      #   JSON.parse(Documents::LogList.new([]).json)["rows"] # => []
      def json = "#{JSON.pretty_generate({"format" => "earnest-fold/logbook", "version" => 1, "rows" => @rows})}\n"
    end
  end
end
