# frozen_string_literal: true

module EarnestFold
  module Documents
    # The work of a week by day, for the wall.
    class WallPdf
      # @param title [String]
      # @param days [Hash{String => Array<Array(String, String, String, String)>}] hours, bench, what, whose, by day
      def initialize(title, days)
        @title, @days = title, days
      end

      # @return [String] the file
      #
      #   Documents::WallPdf.new("The week", {}).render[0, 5] # => "%PDF-"
      def render
        paper = Paper.new(@title)
        @days.each do |day, rows|
          if rows.empty?
            paper.list(day, [Words.say("diary.nothing")], [], [])
          else
            paper.list(
              day,
              %w[hours bench what whose].map { |name| Words.say("diary.columns.#{name}") },
              rows,
              [80, 60, 210]
            )
          end
        end
        paper.render
      end
    end
  end
end
