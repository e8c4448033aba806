# frozen_string_literal: true

module EarnestFold
  module Web
    # The order of work, the heading, the hanging sheet and the tags of treatments made ready for paper.
    class MakingPapers
      D = Documents
      R = Reckoning

      # @param sheet [Work::Job]
      # @param entries [Array<Work::Treatment, Work::Alteration>] those that are reckoned
      def initialize(sheet, entries)
        @sheet, @works = sheet, entries.select(&:reckoning)
        @entries = @works.reject(&:altered_as)
      end

      # @return [String] PDF
      def work = D::WorkPdf.new(@sheet.job.title, @works.map { |entry| part(entry) }, unit).render

      # @return [String] PDF, full size
      def strip =
        D::StripPdf.new(
          title,
          @entries.flat_map { |entry| entry.reckoning.curtains.map { |curtain| strip_of(entry, curtain) } },
          unit
        ).render

      # @return [String] PDF
      def hanging
        screens = @entries.map { |entry| Screens::Hanging.new(@sheet, entry) }
        D::HangingPdf.new(
          title,
          screens.flat_map { |screen| tables(screen) },
          cautions: screens.flat_map(&:remarks).map { |remark| Words.remark(remark, unit) }.uniq,
          checks: screens.flat_map { |screen| checks(screen) }
        ).render
      end

      # @return [String] PDF
      def tags =
        D::TagPdf.new(
          Words.say("tag.title", title: title),
          @entries.flat_map { |entry| entry.reckoning.curtains.map { |curtain| tag(entry, curtain) } }
        ).render

      private

      def unit = @sheet.unit

      def title = [@sheet.job.title, *((@works.size == 1) ? [@works.first.title] : [])].join(", ")

      def part(entry)
        screen = StationScreens.of("making", entry).new(@sheet, entry)
        alike = screen.steps.chunk_while { |one, other| one.code == other.code && one.figures == other.figures }
        D::WorkPdf::Part.new(
          title: entry.title,
          about: screen.in_all,
          rows: alike.map { |steps| row(screen, steps) },
          drawing: entry.altered_as ? Drawings::AlteredCurtain.new(entry.reckoning, unit).to_s : nil
        )
      end

      # Curtains whose figures are the same share a row.
      def row(screen, steps)
        first = steps.first
        [
          [
            "#{steps.map(&:number).join("+")} #{screen.title(first)}",
            *steps.filter_map { |step| screen.curtain_of(step) }
          ].join(", "),
          Words.figure(first.main, unit),
          [screen.does(first), *screen.said(first).map { |remark| Words.remark(remark, unit) }].join("\n")
        ]
      end

      # Where a mark has a beginning and an end, both are marked.
      def strip_of(entry, curtain)
        heading = entry.reckoning.treatment.heading
        marks = heading.marks(curtain.task, curtain.heading)
        hung = marks.any? && marks.all? { |mark| mark.along == :hung }
        places = marks.flat_map do |mark|
          [
            [mark.at, Words.say("marks.short.#{mark.kind}")],
            *(mark.to ? [[mark.to, Words.say("strip.ends", kind: Words.say("marks.short.#{mark.kind}"))]] : [])
          ]
        end
        seams = hung ? [] : curtain.task.seams.map { |seam| [seam, Words.say("strip.seam")] }
        D::StripPdf::Strip.new(
          name: "#{entry.title}, #{Words.hand(curtain.hand)}",
          length: hung ? curtain.finished_width : curtain.flat_width,
          marks:
            (places + seams).group_by(&:first).map { |at, same| [at, same.map(&:last).join(" / ")] }.sort_by(&:first),
          leads: curtain.leads
        )
      end

      def tables(screen)
        [
          [screen.entry.title, screen.lengths.map { |label, length| [label, Words.with_unit(length, unit)] }],
          [Words.say("hanging.carry"), screen.carried.map { |label, count| [label, count.to_s] }],
          [Words.say("hanging.edges"), screen.edges.map { |hand, edge| [hand, edge] }],
          [
            Words.say("hanging.order"),
            screen.order.each_with_index.map { |words, index| ["#{index + 1}  #{words}", ""] }
          ]
        ]
      end

      def checks(screen) =
        screen.reckoning.curtains.map do |curtain|
          Words.say(
            "hanging.check",
            title: screen.entry.title,
            hand: Words.hand(curtain.hand),
            drop: screen.reckoning.finished_drop,
            unit: unit
          )
        end

      def tag(entry, curtain)
        face = entry.reckoning.treatment.face
        [
          "#{entry.title}, #{Words.hand(curtain.hand)}",
          face.name,
          Words.say("tag.drop", drop: entry.reckoning.finished_drop, unit: unit),
          Words.say("tag.maker", name: @sheet.settled.name),
          Words.say("tag.batch"),
          Words.say("tag.care")
        ]
      end
    end
  end
end
