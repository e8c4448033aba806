# frozen_string_literal: true

module EarnestFold
  module Documents
    # The order of work, the heading, the hanging sheet and the tags of a job's works on paper.
    class MakingPapers
      R = Reckoning

      # On paper, where ink is to be saved.
      SKETCHED = "#f2f0e8"
      # Of a heading, what stands at the head of the sheet.
      HEADED = %i[pleats space take_up hooks eyelets pitch gliders rings tabs gap].freeze
      private_constant :SKETCHED, :HEADED

      # Each by the name of its file.
      FILES = {
        "work-order.pdf" => :work,
        "strip.pdf" => :strip,
        "hanging-sheet.pdf" => :hanging,
        "tags.pdf" => :tags
      }.freeze

      # @param file [String] one of FILES
      # @param opens [Hash{String => String}] what the code on each work's tag says
      # @yieldparam parts [Integer] how many works are written, where that can be told
      # @return [String] PDF
      #
      #   Documents::MakingPapers.named("work-order.pdf", in_hand, [work], {})[0, 5] # => "%PDF-"
      def self.named(file, job, works, opens, &told)
        new(job, works, told: told) { |work| opens[work.id.to_s] }.public_send(FILES.fetch(file))
      end

      # @param job [Work::Job]
      # @param works [Array<Work::AtWork>] of it; those that are reckoned are told
      # @param told [#call, nil] is given how many works are written
      # @yieldparam work [Work::AtWork]
      # @yieldreturn [String] what the code on a tag says; without a block there are no codes
      def initialize(job, works, told: nil, &opens)
        @job, @works, @opens, @told = job, works.select(&:reckoning), opens, told
        @made = @works.reject(&:altered_as)
      end

      # @return [String] PDF: the order of work
      #
      #   Documents::MakingPapers.new(in_hand, [work]).work[0, 5] # => "%PDF-"
      def work = WorkPdf.new(@job.job.title, parts, unit).render

      # @return [String] PDF, full size: the headings
      #
      #   Documents::MakingPapers.new(in_hand, [work]).strip[0, 5] # => "%PDF-"
      def strip = StripPdf.new(title, each_curtain { |work, curtain| strip_of(work, curtain) }, unit).render

      # @return [String] PDF
      #
      #   Documents::MakingPapers.new(in_hand, [work]).hanging[0, 5] # => "%PDF-"
      def hanging
        remarks = @made.flat_map { |work| work.said_at("hanging", @job) }
        HangingPdf.new(
          title,
          @made.flat_map { |work| tables(work, work.hanging(@job)) },
          cautions: remarks.map { |remark| Words.remark(remark, unit) }.uniq,
          checks: each_curtain { |work, curtain| check(work, curtain) },
          wall: @made.empty? ? nil : WallOfJob.new(@job, @made, colours: ->(_) { SKETCHED }).to_s
        ).render
      end

      # @return [String] PDF
      #
      #   Documents::MakingPapers.new(in_hand, [work]) { }.tags[0, 5] # => "%PDF-"
      def tags
        opens = @opens ? each_curtain { |work, _| @opens.call(work) } : []
        TagPdf.new(Words.say("tag.title", title: title), each_curtain { |*of| tag(*of) }, opens).render
      end

      private

      # Each made when its turn on the paper comes.
      def parts
        @works.each_with_index.lazy.map do |work, index|
          @told&.call(index)
          part(work)
        end
      end

      def unit = @job.unit

      def title = [@job.job.title, *((@works.size == 1) ? [@works.first.title] : [])].join(", ")

      # @yieldparam work [Work::Treatment]
      # @yieldparam curtain [Reckoning::Curtain]
      def each_curtain
        @made.flat_map { |work| work.reckoning.curtains.map { |curtain| yield(work, curtain) } }
      end

      def part(work)
        said = work.said_of_steps(@job)
        WorkPdf::Part.new(
          title: work.title,
          about: Words.in_all(work.steps.sum(&:minutes)),
          rows: work.steps.map { |step| row(step, said.fetch(step.code, [])) },
          facts: work.altered_as ? [] : facts(work.reckoning),
          drawing: work.altered_as ? Drawings::AlteredCurtain.new(work.reckoning, unit).to_s : sketch(work)
        )
      end

      # The first curtain flat, its widths, seams and turnings.
      def sketch(work) =
        Drawings::FlatCurtain.of(work.reckoning, work.reckoning.curtains.first, unit, colour: SKETCHED).to_s

      # What the shop has always kept at the head of the sheet: widths and cuts, pleats and spaces.
      def facts(made)
        cuts = [
          ["work_paper.cuts", made.widths_total],
          ["work_figures.cut_drop", made.cut_drop],
          *(made.lining && [["work_paper.lining_cuts", made.lining.widths_total],
            ["work_paper.lining_cut_drop", made.lining.drop_cut.cut_drop]])
        ]
        rows = cuts.map { |key, value| [Words.say(key), Words.figure(value, unit)] }
        [[Words.say("work_paper.method"), Words.say("methods.#{made.treatment.order_of_work.name}")], *rows,
          *of_curtains(made)]
      end

      # Curtains that are alike share their lines.
      def of_curtains(made)
        alike = made.curtains.group_by { |curtain| of_curtain(curtain) }
        alike.flat_map do |lines, curtains|
          whose = (alike.size > 1) ? curtains.map { |curtain| Words.hand(curtain.hand) }.join(", ") : nil
          lines.map { |label, told| [[*whose, label].join(", "), told] }
        end
      end

      def of_curtain(curtain)
        lengths = {flat_width: curtain.flat_width, finished_width: curtain.finished_width}
        counted = curtain.heading.slice(*HEADED).select { |_, value| value.is_a?(R::Length) || value.to_i.positive? }
        figures = lengths.merge(counted).map do |name, value|
          [Words.say("work_figures.#{name}"), Words.figure(value, unit)]
        end
        [[Words.say("work_paper.widths"), Words.widths(curtain.widths)], *figures]
      end

      # A step with the boxes that are ticked of it.
      def row(step, remarks)
        ticks = (step.ticks.size > 1) ? step.ticks.map { |tick| "[  ] #{Words.tick(tick)}" } : ["[  ]"]
        [
          ["#{step.number} #{Words.step(step)}", *ticks].join("\n"),
          step.parts.map { |part| Words.figure(part.figures.values.first, unit) }.uniq.join("\n"),
          [Words.step_done(step, unit), *remarks.map { |remark| Words.remark(remark, unit) }].join("\n")
        ]
      end

      def strip_of(work, curtain)
        marks = work.reckoning.treatment.heading.marks(curtain.task, curtain.heading)
        hung = marks.any? && marks.all? { |mark| mark.along == :hung }
        seams = hung ? [] : curtain.task.seams.map { |seam| [seam, Words.say("strip.seam")] }
        StripPdf::Strip.new(
          name: "#{work.title}, #{Words.hand(curtain.hand)}",
          length: hung ? curtain.finished_width : curtain.flat_width,
          marks: by_place(marks.flat_map { |mark| ends_of(mark) } + seams),
          leads: curtain.leads
        )
      end

      # Where a mark has a beginning and an end, both are marked.
      def ends_of(mark)
        kind = Words.say("marks.short.#{mark.kind}")
        [[mark.at, kind], *(mark.to ? [[mark.to, Words.say("strip.ends", kind: kind)]] : [])]
      end

      def by_place(places) =
        places.group_by(&:first).map { |at, same| [at, same.map(&:last).join(" / ")] }.sort_by(&:first)

      def tables(work, hanging)
        order = hanging.order.each_with_index.map { |told, index| ["#{index + 1}  #{Words.told(told, unit)}", ""] }
        carried = hanging.carried.map do |name, count|
          [Words.say("sundries.#{name}"), Words.value_in(count, unit).to_s]
        end
        [
          [work.title, hanging.lengths.map { |told, at| [Words.told(told, unit), Words.with_unit(at, unit)] }],
          [Words.say("hanging.carry"), carried],
          [Words.say("hanging.edges"), hanging.edges.map { |hand, told| [Words.hand(hand), Words.told(told, unit)] }],
          [Words.say("hanging.order"), order]
        ]
      end

      def check(work, curtain) =
        Words.say(
          "hanging.check",
          title: work.title,
          hand: Words.hand(curtain.hand),
          drop: work.reckoning.finished_drop,
          unit: unit
        )

      def tag(work, curtain)
        [
          "#{work.title}, #{Words.hand(curtain.hand)}",
          work.face.name,
          Words.say("tag.drop", drop: work.reckoning.finished_drop, unit: unit),
          Words.say("tag.maker", name: @job.settled.name),
          Words.say("tag.batch"),
          Words.say("tag.care")
        ]
      end
    end
  end
end
