# frozen_string_literal: true

module EarnestFold
  module Drawings
    # A week of benches: a column for each day, a band for each bench, a block for each stretch of work, as wide as it
    # is long.
    class DiaryWeek
      # `from` and `to` are minutes of the working day.
      Block = Reckoning::Value.define(:date, :from, :to, :bench, :job, :words, :says, :href, :late)
      WIDTH, LEFT, TOP, LANE = 1180, 92, 36, 44
      COLOURS = %w[#d3dcc6 #d9cfe0 #f0dcb4 #cbdbe3 #e6cfc4 #d8d8c0 #c9dcd4 #e4d3d9].freeze
      # About how wide a letter is.
      LETTER = 6.6

      # @param days [Array<Date>]
      # @param rules [Reckoning::Diary::Rules]
      # @param blocks [Array<Block>]
      def initialize(days, rules, blocks)
        @days, @rules, @blocks = days, rules, blocks
        @day = (WIDTH - LEFT) / [days.size, 1].max.to_f
        @lanes = Reckoning::Diary::BENCHES.to_h do |bench|
          [bench, lanes(blocks.select { |block| block.bench == bench })]
        end
        @tops = tops
        @svg = Svg.new(
          WIDTH,
          TOP + @tall + 8,
          says: Words.say("drawings.diary_week"),
          css: "drawing diary-week",
          role: "group"
        )
      end

      # @return [String]
      #
      #   size(Drawings::DiaryWeek.new([], Diary::USUAL, [])) # => "1180 294"
      def to_s
        ground
        Reckoning::Diary::BENCHES.each do |bench|
          @lanes[bench].each_with_index do |blocks, lane|
            blocks.each { |block| draw(block, @tops[bench] + lane * LANE) }
          end
        end
        @svg.to_s
      end

      private

      # Those that lie beside each other in time lie below each other here.
      def lanes(blocks)
        blocks.sort_by { |block| [block.date, block.from] }.each_with_object([]) do |block, made|
          lane = made.find { |others| others.none? { |other| other.date == block.date && other.to > block.from } }
          lane ? lane << block : made << [block]
        end
      end

      def tops
        @tall = 0
        Reckoning::Diary::BENCHES.to_h do |bench|
          [bench, (TOP + @tall).tap { @tall += [@lanes[bench].size, 1].max * LANE + 6 }]
        end
      end

      def ground
        @days.each_with_index do |date, index|
          @svg.rect(LEFT + index * @day, TOP - 4, @day, @tall, class: index.even? ? "day" : "day other")
          @svg.text(LEFT + index * @day + 6, 23, Words.date(date, :in_week), class: "label")
        end
        Reckoning::Diary::BENCHES.each do |bench|
          @svg.text(4, @tops[bench] + 26, Words.say("benches.#{bench}"), class: "label")
        end
        Reckoning::Diary::BENCHES
          .drop(1)
          .each { |bench| @svg.line(0, @tops[bench] - 4, WIDTH, @tops[bench] - 4, class: "bench-line") }
      end

      def draw(block, y)
        x = LEFT + @days.index(block.date) * @day + @day * block.from / @rules.day_minutes
        wide = [@day * (block.to - block.from) / @rules.day_minutes - 1.5, 3].max
        @svg.link(block.href, says: nil) do
          @svg.title(block.says)
          @svg.rect(
            x,
            y,
            wide,
            LANE - 6,
            fill: COLOURS[block.job % COLOURS.size],
            class: block.late ? "block late" : "block"
          )
          lines(block.words, wide).each_with_index do |words, line|
            @svg.text(x + 4, y + 15 + line * 15, words, :class => "block-words", "aria-hidden" => "true")
          end
        end
      end

      # What has room: two lines of whole words; a first word that has none is cut.
      def lines(words, wide)
        room = ((wide - 6) / LETTER).floor
        return [] if room < 3

        made = words.split.each_with_object([+""]) do |word, rows|
          if rows.last.empty? then rows.last << word[0, room]
          elsif rows.last.size + 1 + word.size <= room then rows.last << " " << word
          else rows << word[0, room].dup
          end
        end
        made.first(2).map { |row| row.delete_suffix(",") }
      end
    end
  end
end
