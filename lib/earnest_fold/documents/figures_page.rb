# frozen_string_literal: true

module EarnestFold
  module Documents
    # The page "How the figures come about", for makers: every figure and drawing in it is reckoned from an example
    # job when the page is made, so that it can't say anything else than the reckoner does.
    class FiguresPage
      R = Reckoning
      # A chapter: what it is about, the example it is shown with, the lines of its working that matter, and a drawing.
      Chapter = R::Value.define(:title, :text, :example, :lines, :drawing)

      CHAPTERS = [
        [
          "Across: how wide a curtain hangs",
          "A pair meets at the split: half the support, half the overlap, the return and the ease. That is " \
            "the *finished width*. Fullness makes it the *flat width asked*.",
          "one_pair",
          %i[finished_width flat_needed],
          nil
        ],
        [
          "Widths of cloth",
          "A joined edge loses selvedge and seam; the outer edges lose selvedge and side turning. So the " \
            "first width gives less than each one more. The least count that reaches what is asked is taken, " \
            "and what it gives is the fullness made.",
          "one_pair",
          %i[one_width each_more widths cut_width fullness_made],
          :flat
        ],
        [
          "Down: from the tape to the cut",
          "The shortest reading decides. Stand-up ties it to the curtain's top edge, the offset to the " \
            "floor or the sill; top, hem and squaring are added, and shrinking enlarges it all.",
          "patterned",
          %i[finished_drop hem_double top_allowance squaring cut_drop],
          nil
        ],
        [
          "The pattern",
          "Every width is cut at the same point of the repeat. Where the pattern lies level at the hem or " \
            "the top, each cut starts so far below a repeat line. On half-drop cloth the next width stands " \
            "half a repeat lower: A, B, A.",
          "patterned",
          %i[cut_length pattern_start],
          :flat
        ],
        [
          "The lining",
          "A lining ends above the hem, is a little narrower, and has widths of its own cloth.",
          "patterned",
          %i[lining_drop lining_hem_double lining_cut_drop lining_widths],
          nil
        ],
        [
          "Pencil pleat",
          "Hooks along the drawn-up heading, tape along the flat one.",
          "one_pair",
          %i[tape_length hooks],
          :heading
        ],
        [
          "Hand pleat",
          "Return and overlap lie flat; between them stand the pleats with equal spaces. The count is the " \
            "one whose spaces and take-up fall least outside their ranges.",
          "patterned",
          %i[pleats space take_up hooks],
          :heading
        ]
      ].freeze

      # @param documents [Hash{String => String}] the example jobs by name, as text
      def initialize(documents)
        @made = documents.transform_values { |text| R::JobReckoning.new(JobFormat.read(text)) }
      end

      # @return [String] Markdown
      def text
        [
          "# How the figures come about",
          INTRODUCTION,
          *chapters.map { |chapter| chapter_text(chapter) },
          headings,
          alterations,
          checks
        ].join("\n\n") << "\n"
      end

      # @return [Hash{String => String}] the drawings' file names and their SVG
      def drawings = chapters.select(&:drawing).to_h { |chapter| [file(chapter), drawing(chapter)] }

      INTRODUCTION =
        "For makers. Every figure, sum and drawing below is reckoned anew from an example job whenever this page is " \
          "made (`bundle exec ruby support/figures_page.rb`); nothing is copied by hand. All arithmetic is " \
            "exact; a figure is rounded once, when it is shown, cut or ordered."
      private_constant :INTRODUCTION

      private

      def chapters =
        CHAPTERS.map do |title, text, example, lines, drawing|
          Chapter.new(title: title, text: text, example: example, lines: lines, drawing: drawing)
        end

      def unit(chapter) = @made.fetch(chapter.example).job.unit

      def treatment(chapter) = @made.fetch(chapter.example).treatments.first

      def chapter_text(chapter)
        picture = chapter.drawing && "![#{chapter.title}](figures/#{file(chapter)})"
        ["## #{chapter.title}", chapter.text, table(working(chapter), unit(chapter)), picture].compact.join("\n\n")
      end

      def working(chapter) = treatment(chapter).working.select { |line| chapter.lines.include?(key(line)) }

      def key(line) = %i[hem lining_hem].include?(line.name) ? :"#{line.name}_#{line.data[:kind]}" : line.name

      def table(lines, unit)
        rows = lines.map do |line|
          "| #{Words.label(line, unit)} | #{Words.expression(line.expression, unit)} | " \
            "**#{Words.figure(line.value, unit)}** |"
        end
        ["| figure | sum | #{unit.name} |", "|---|---|---:|", *rows].join("\n")
      end

      def file(chapter) = "#{chapter.title.downcase.gsub(/[^a-z]+/, "-")}.svg"

      def drawing(chapter)
        made, curtain = treatment(chapter), treatment(chapter).curtains.first
        case chapter.drawing
        when :flat then Drawings::FlatCurtain.of(made, curtain, unit(chapter), colour: "#c9d2bd").to_s
        else
          drawn = Drawings.of_heading(made.treatment.heading)
          drawn.new(made.treatment.heading, curtain, unit(chapter), colour: "#c9d2bd").to_s
        end
      end

      # Every kind, by its own example, on one curtain.
      def headings
        rows = R::Headings.map { |kind| heading_row(kind) }
        [
          "## Every heading on one curtain",
          "The same finished width of 150 cm with a return of 6 cm, each heading by its own example.",
          ["| heading | flat width asked, cm | how | what it counts |", "|---|---:|---|---|", *rows].join("\n")
        ].join("\n\n")
      end

      def heading_row(kind)
        heading = kind.build(kind.fields.read(kind.example, R::Units::CM, R::Problems.new), R::Problems.new)
        needed = heading.needed(span)
        figures = heading.figures(R::HeadingTask.new(span: span, flat: needed, widths: 1r, seams: []), support)
        counted = figures
          .compact
          .map { |name, value| "#{Words.say("figures.#{name}")} #{Words.figure(value, R::Units::CM)}" }
          .join("; ")
        "| #{Words.say("headings.#{kind.kind}")} | #{Words.length(needed, R::Units::CM)} | " \
          "#{Words.expression(heading.needed_expression(span), R::Units::CM)} | #{counted} |"
      end

      def support
        R::Support.new(
          kind: "pole",
          length: R::Length.cm(144),
          diameter: R::Length.mm(28),
          projection: nil,
          carriers: nil,
          rating: nil,
          height: nil
        )
      end

      def span
        opening = R::Opening.new(kind: "one_way_left", split: 1/2r, cover: nil, panels: nil)
        opening.spans(
          support,
          R::Ends.new(
            return_left: R::Length.cm(6),
            return_right: R::Length::ZERO,
            overlap: R::Length::ZERO,
            ease: R::Length::ZERO
          )
        ).first
      end

      def alterations
        parts = R::Alterations.map do |kind|
          made = kind.build(kind.fields.read(kind.example, R::Units::CM, R::Problems.new), R::Problems.new)
          "### #{Words.say("alterations.#{kind.kind}")}\n\n#{table(made.working, R::Units::CM)}"
        end
        ["## Altering", *parts].join("\n\n")
      end

      def checks
        rows = R::Checks::Kinds.map do |kind|
          "| `#{kind::CODE}` | #{Words.say("levels.#{kind::LEVEL}")} | " \
            "#{Words.text("checks.#{kind::CODE}").gsub(/%\{(\w+)\}/) { "*#{$1.tr("_", " ")}*" }} |"
        end
        ["## What is checked", ["| check | | what it says |", "|---|---|---|", *rows].join("\n")].join("\n\n")
      end
    end
  end
end
