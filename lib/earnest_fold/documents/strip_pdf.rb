# frozen_string_literal: true

require "prawn"

module EarnestFold
  module Documents
    # A heading full size on paper: bands to be cut out, laid end to end and pinned to the table, each mark at its
    # running distance from the leading edge; with a line of known length to check the printer by, and all marks as a
    # table behind.
    class StripPdf
      R = Reckoning
      # One curtain's heading: `marks` as [distance, words], `leads` :left or :right as it lies face up.
      Strip = R::Value.define(:name, :length, :marks, :leads)
      POINT = 72 / 25.4r
      MARGIN, BAND, GAP = 12 * POINT, 44 * POINT, 10 * POINT
      # How much of the heading a band shows, and how many bands stand on a page.
      SHOWN, BANDS = R::Length.mm(250), 3
      CHECK = R::Length.mm(100)

      # @param title [String]
      # @param strips [Array<Strip>]
      # @param unit [Reckoning::Unit]
      def initialize(title, strips, unit)
        @title, @strips, @unit = title, strips, unit
        @pdf = Prawn::Document.new(
          page_size: "A4",
          page_layout: :landscape,
          margin: 0,
          info: {Title: title, Creator: "Earnest Fold"}
        )
        @letters = Letters.new(@pdf)
      end

      # @return [String] the file
      #
      #   Documents::StripPdf.new("Pair", [], Units::CM).render[0, 5] # => "%PDF-"
      def render
        @strips
          .flat_map { |strip| bands(strip) }
          .each_slice(BANDS)
          .with_index { |page, number| draw_page(page, number) }
        @strips.each { |strip| table(strip) }
        @letters.note&.then { |words| @pdf.text_box words, at: [MARGIN.to_f, MARGIN.to_f], size: 8 }
        @pdf.render
      end

      private

      # Each band as [strip, from, to].
      def bands(strip) =
        Array.new((strip.length / SHOWN).ceil) do |index|
          [strip, SHOWN * index, [SHOWN * (index + 1), strip.length].min]
        end

      def points(length) = (length.mm * POINT).to_f

      def draw_page(page, number)
        @pdf.start_new_page if number.positive?
        head
        page.each_with_index do |(strip, from, to), index|
          band(strip, from, to, @pdf.bounds.height - (MARGIN * 2.6).to_f - index * (BAND + GAP).to_f)
        end
      end

      # What is measured before anything is pinned.
      def head
        x, y = MARGIN.to_f, (@pdf.bounds.height - MARGIN).to_f
        @pdf.line_width 0.5
        @pdf.stroke_line [x, y], [x + points(CHECK), y]
        [x, x + points(CHECK)].each { |at| @pdf.stroke_line [at, y - 5], [at, y + 5] }
        @pdf.draw_text Words.say("strip.check", length: CHECK, unit: @unit),
          at: [x + points(CHECK) + 10, y - 3],
          size: 10
        @pdf.text_box @letters.drawable(@title),
          at: [x, y - 8],
          width: @pdf.bounds.width - 2 * x,
          height: 12,
          size: 9,
          overflow: :shrink_to_fit
      end

      def band(strip, from, to, top)
        mirrored = strip.leads == :right
        left, width, tall = MARGIN.to_f, points(to - from), BAND.to_f
        x = ->(distance) { mirrored ? left + points(SHOWN) - points(distance - from) : left + points(distance - from) }
        @pdf.line_width 0.7
        @pdf.stroke_rectangle [mirrored ? left + points(SHOWN) - width : left, top], width, tall
        strip.marks.each do |distance, words|
          mark(x.call(distance), top, distance, words, mirrored) if distance.between?(from, to)
        end
        edge = Words.say("strip.leads_#{strip.leads}")
        words = Words.say("strip.band", name: strip.name, from: from, to: to, edge: edge, unit: @unit)
        @pdf.draw_text @letters.drawable(words), at: [left + 4, top - tall + 5], size: 8
      end

      # Words stand on the side away from the leading edge, where there always is some band.
      def mark(x, top, distance, words, mirrored)
        @pdf.line_width 0.4
        @pdf.stroke_line [x, top], [x, top - 60]
        [
          [Words.length(distance, @unit), 9, :bold, 12],
          [@letters.drawable(words), 7, :normal, 22]
        ].each do |text, size, style, down|
          aside = mirrored ? -@pdf.width_of(text, size: size, style: style) - 2 : 2
          @pdf.draw_text text, at: [x + aside, top - down], size: size, style: style
        end
      end

      def table(strip)
        @pdf.start_new_page
        @pdf.bounding_box(
          [MARGIN.to_f, @pdf.bounds.height - MARGIN.to_f],
          width: @pdf.bounds.width - 2 * MARGIN.to_f,
          height: @pdf.bounds.height - 2 * MARGIN.to_f
        ) do
          @pdf.font("Slab") { @pdf.text @letters.printable(strip.name), size: 13 }
          @pdf.move_down 6
          @pdf.column_box([0, @pdf.cursor], columns: 4, width: @pdf.bounds.width) do
            strip.marks.each do |distance, words|
              @pdf.text "#{Words.length(distance, @unit)}   #{@letters.printable(words)}", size: 10
            end
          end
        end
      end
    end
  end
end
