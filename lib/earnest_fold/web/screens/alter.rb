# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # The Alter station: what is done, drawn before and after, with every line at its running distance, and what
      # comes off.
      class Alter < Desk
        include Altering

        STATION = "alter"
        # Another way to the same length, what it gives, and what stands against it.
        Other = R::Value.define(:kind, :chosen, :main, :at, :left_over, :stops)

        def self.asks = %i[notes]

        # @param notes [Array<Store::CameIn::Note>]
        def initialize(sheet, entry, notes: [], **shown)
          super(sheet, entry, **shown)
          @notes = notes
        end

        def view = :_alter

        # @return [Array<Field>]
        def asked = asked_of(entry.fields.of_station(STATION))

        # @return [String, nil] the depth of the hem made double, where it is single and there is cloth for it
        def doubled
          double = made.alteration.doubled if made&.alteration.respond_to?(:doubled)
          double && Words.with_unit(double.depth, unit)
        end

        # @return [Array<Array(String, Reckoning::Length)>] the figure to cut by first, then the others
        def figures
          main = R::MakingUp::AlteringCase.new(made: made, house: house).main_line
          [*(main && [[line_words(main), main.at]]), *plain_figures, *motif_figures]
        end

        # @return [Array<Array(String, Object)>] the figures of a heading that is put on
        def heading_figures =
          (made.alteration.heading_put_on || {}).map { |name, value| [Words.say("work_figures.#{name}"), value] }

        # @return [String, nil] SVG: that heading with its marks
        def heading_drawing
          headed = made&.alteration&.headed or return
          if made.alteration.marks.any?
            once(:headed) { Drawings::HeadingMarks.new(made.alteration.heading, headed, unit, colour: colour).to_s }
          end
        end

        # @return [Array<Array(Reckoning::AlterLine, String)>] each with what is done there
        def lines = made.lines.map { |line| [line, Words.say("alter.deeds.#{line.deed}")] }

        def line_words(line) =
          Words.say("alter.from_edge.#{line.from}", line: Words.alter_line(line.name)).sub(/\A./, &:upcase)

        # @return [Array<Array(String, String)>] each edge, and whether it stays as it was made
        def edges =
          made.alteration.edges.map do |edge, fate|
            [Words.say("alter.edge_names.#{edge}"), Words.say("alter.edges.#{fate}")]
          end

        # @return [String, nil] what the rest still makes
        def rest
          over = made.left_over
          if over.positive?
            Words.say(
              "alter.rest",
              length: over,
              uses: Words.uses(
                R::Cutting::Leftover.new(
                  kind: :remnant,
                  piece: nil,
                  from: R::Length::ZERO,
                  along: over,
                  across: made.alteration.across(made.curtain)
                )
              ),
              unit: unit
            )
          end
        end

        # @return [Array<Other>] the ways to shorten side by side
        def others =
          if made&.alteration&.shortens? && made.alteration.contradictions.empty?
            once(:others) { R::Alterations.select(&:shortens?).filter_map { |kind| other(kind.kind) } }
          else
            []
          end

        # @return [Array<Array(Reckoning::FromFlatCloth::Way, String)>, nil] both directions of a flat cloth, each
        #   with its name
        def ways = made.alteration.ways&.zip(R::OwnCurtain::WAYS)

        def way_chosen = made.alteration.chosen(made.curtain)

        # @return [String, nil] what of the length is left to do
        def unfinished
          foot = made.alteration.figures[:left_at_hem] or return
          foot.positive? ? Words.say("alter.left_at_hem", length: foot, unit: unit) : nil
        end

        # @return [String, nil] SVG
        def drawing = made && once(:altered) { Drawings::AlteredCurtain.new(made, unit).to_s }

        private

        # Where the motif was and where it will be, below the top edge.
        def motif_figures
          was = made.curtain.motif or return []
          after = made.alteration.motif_after(was, made.curtain)
          [[Words.say("alter.motif_was"), was], *([[Words.say("alter.motif_then"), after]] if after)]
        end

        def plain_figures =
          made
            .alteration
            .figures
            .reject do |name, value|
              %i[cut_line seam_line].include?(name) || !(value.is_a?(R::Length) || value.is_a?(Numeric))
            end
            .map { |name, value| [Words.say("alter.figures.#{name}"), value] }

        def other(kind)
          spec_then = Work::Starting.new(sheet.settled, unit).altered(
            spec.merge(
              "remove" => Store::Records.typed(made.alteration.existing_length - made.alteration.from_the_top)
            ),
            kind
          )
          read = (kind == spec["kind"]) ? made : sheet.read(entry.id, spec_then)
          return if read.is_a?(Array)

          main = R::MakingUp::AlteringCase.new(made: read, house: house).main_line
          Other.new(
            kind: kind,
            chosen: kind == spec["kind"],
            main: line_words(main),
            at: main.at,
            left_over: read.left_over,
            stops: read.stops
          )
        end
      end
    end
  end
end
