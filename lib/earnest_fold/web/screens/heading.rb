# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # The Heading station: the kind of heading with the fields it declares, drawn from its own marks, and the counts
      # near the one used.
      class Heading < Desk
        STATION = "heading"
        TIEBACK = R::Tieback::AT_WINDOW.names.map { |name| "tieback.#{name}" }.freeze

        def kinds = field("heading.kind")

        # @return [Array<Field>] those that every heading of its kind has, then what of the support matters to it
        def fields = @fields ||= everyday.map { |path| field(path) }

        # @return [Fold, nil] what some of its kind have besides
        def rarer = fold(:rarer, Work::SpecFields.heading_paths(spec) - everyday)

        # @return [Array<Field>] which of the house's tapes it takes, where it takes any
        def tape_fields
          kind = R::Headings.fetch(spec.dig("heading", "kind")).tape or return []
          suiting = sheet.settled.tapes.select { |tape| tape.spec["kind"] == kind }
          names = suiting.to_h { |tape| [tape.id.to_s, tape.spec["name"]] }
          [field("tape", options: {"" => Words.say("tapes.not_named")}.merge(names))]
        end

        # @return [String] where a tape is written down that the house doesn't have yet
        def new_tape = "#{Paths.new_tape}?#{URI.encode_www_form("for" => path)}"

        # A pitch that the tape has: as it is kept, what it is called, how full it is, and whether it is the one used.
        TapePitch = R::Value.define(:value, :pitch, :mark, :fullness, :chosen)

        # @return [String, nil] the field that takes the tape's pitch
        def pitch_path = (name = R::Headings.fetch(spec.dig("heading", "kind")).tape_pitch) && "heading.#{name}"

        # @return [Array<TapePitch>] those that the tape has, where it has several
        def tape_pitches
          kept = sheet.tape(entry)&.spec&.fetch("pitches", nil).to_a
          return [] if kept.size < 2 || pitch_path.nil?

          used = R::LengthReader.read(spec.dig(*pitch_path.split(".")).to_s, unit)
          kept.map { |one| tape_pitch(one, used) }
        end

        # @return [Fold] what ties the curtains back
        def tiebacks
          made = fold(:tiebacks, TIEBACK + %w[trimming], "trimming" => trimmings)
          (spec["tieback"] || made.same?) ? made : made.with(told: Words.say("folds.no_tiebacks"))
        end

        # @return [Reckoning::Tieback, nil]
        def tieback = reckoning&.tieback || treatment&.tieback&.for(treatment)

        # @return [Integer] figures here that depart from the house's rules
        def departures = ruled.departures(Work::SpecFields.heading_paths(spec))

        # The heading rules the cloth, so it is drawn before there is any: then at the fullness asked.
        # @return [Reckoning::Curtain, nil]
        def curtain = @curtain ||= super || (treatment && R::Curtain.asked(treatment, treatment.spans.first))

        # @return [String, nil] SVG
        def drawing
          return unless curtain

          drawn = Drawings.of_heading(treatment.heading)
          once(:heading, part) { drawn.new(treatment.heading, curtain, unit, colour: colour).to_s }
        end

        # @return [String, nil] SVG: from above, closed and drawn back
        def plan =
          curtain &&
            once(:heading_plan, part) do
              Drawings::HeadingPlan.new(treatment, curtain, unit, house: house).to_s
            end

        # @return [Array<Reckoning::Mark>] in order from the leading edge
        def marks = @marks ||= treatment.heading.marks(curtain.task, curtain.heading)

        # @return [Array<Array(String, Object)>] the heading's own figures, as people call them
        def figures
          curtain.heading.compact.map { |name, value| [name, Words.say("figures.#{name}"), value] }
        end

        # @return [Array<Reckoning::NearCount>]
        def near_counts = treatment.heading.near_counts(curtain.task, curtain.heading)

        # @return [String, nil] the field that takes a count, where one does
        def count_path = (field = treatment.heading.count_field) && "heading.#{field}"

        def pleats_given? = !spec.dig("heading", "pleats").nil?

        # @return [String] what a near count gives, in few words
        def detail(near)
          near
            .detail
            .except(:fits)
            .compact
            .first(2)
            .map { |name, value| "#{Words.say("figures.#{name}")} #{Words.figure(value, unit)}" }
            .join(", ")
        end

        private

        # What must be given, what the rules say something of, and what its kind's example has; of a range its target.
        def everyday
          kind = R::Headings.fetch(spec.dig("heading", "kind"))
          paths = Work::SpecFields.heading_paths(spec).grep_v(/\.(min|max)\z/).select do |path|
            example = kind.example.key?(path.split(".")[1])
            example || ruled.mark(path) || Work::SpecFields.field(path, spec).required?
          end
          paths + support_paths
        end

        # What frill and tiebacks are cut from.
        def trimmings
          names = sheet.cloth_records.to_h { |record| [record.id.to_s, record.spec["name"]] }
          {"" => Words.say("heading.of_the_face")}.merge(names)
        end

        def tape_pitch(kept, used)
          pitch = R::LengthReader.read(kept["pitch"], unit)
          spacing = spec.dig("heading", "glider_spacing")&.then { |typed| R::LengthReader.read(typed, unit) }
          TapePitch.new(
            value: kept["pitch"],
            pitch: pitch,
            mark: kept["mark"].to_s,
            fullness: spacing&.positive? ? pitch / spacing : nil,
            chosen: pitch == used
          )
        end

        def support_paths = R::Headings.fetch(spec.dig("heading", "kind")).asks_of_support
      end
    end
  end
end
