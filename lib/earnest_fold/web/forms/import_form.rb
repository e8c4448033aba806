# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # A job document brought in by file: read strictly, every problem by its place, nothing half-imported.
      class ImportForm
        R = Reckoning
        attr_reader :problems

        # @param file [Hash, nil] as the request brings it
        # @param sets [Array<Store::RuleSet>] the house's own, by whose names a document may go
        def initialize(file, sets)
          @problems, @sets = [], sets
          text = document_in((file.is_a?(Hash) && file[:tempfile].respond_to?(:read)) ? file[:tempfile].read : "")
          Documents::JobFormat.read_strictly(text)
          @raw = Documents::JobFormat.parse(text)
        rescue R::Invalid => invalid
          @problems = invalid.problems
        end

        # @return [Documents::JobArchive::Opened, nil] where a job came whole
        attr_reader :archive

        def valid? = problems.empty?

        # @return [Hash] what {Store::Jobs#bring_in} takes
        def values
          {title: @raw["title"], unit: @raw["unit"], extras: extras, windows: windows,
           cloths: @raw["cloths"].to_h { |cloth| [cloth["id"], spec(cloth, R::Cloth::FIELDS)] },
           tapes: tapes}
        end

        private

        # Of a job that comes whole the document alone is read here.
        def document_in(bytes)
          return bytes unless Documents::JobArchive.one?(bytes.b)

          @archive = Documents::JobArchive.open(bytes.b)
          @archive.document
        end

        def extras
          kept = Documents::SpecFormat.extras_to_keep(@raw)
          if kept.key?("alterations")
            kept.merge(
              "alterations" =>
                kept["alterations"].map { |spec| (answers?(spec["answers"]) ? spec : spec.except("answers")).compact }
            )
          else
            kept
          end
        end

        def windows
          @raw["windows"].map do |window|
            [
              window["room"].to_s,
              window["name"].to_s,
              window["treatments"].map { |made| taped(spec(made, R::Treatment::FIELDS)) }
            ]
          end
        end

        def tapes =
          @tapes ||= @raw.fetch("tapes", []).to_h do |tape|
            [tape["id"], Documents::SpecFormat.to_spec(tape, R::Tape::FIELDS, @raw["unit"]).except("id").compact]
          end

        # What its tape says stands at the heading from then on.
        def taped(spec)
          tape, heading = tapes[spec["tape"]], spec["heading"]
          return spec.except("tape") unless tape

          said = R::Tape.figures(tape, heading, R::Headings.fetch(heading["kind"]))
          spec.merge("heading" => said.merge(heading.compact))
        end

        # What isn't the format's own is let through, but for `kind`: it tells somebody's own curtain from what is made.
        def spec(raw, fields) =
          own(Documents::SpecFormat.to_spec(raw, fields, @raw["unit"]).except("id", "kind").compact)

        # What this application adds to a treatment is taken over only if it is as this application writes it.
        def own(spec)
          spec = spec.except("answers") unless answers?(spec["answers"])
          set = @sets.find { |one| one.name == spec["rules"] }
          spec = set ? spec.merge("rules" => set.id.to_s) : spec.except("rules")
          drop = spec["drop"]
          (drop.is_a?(Hash) && !places?(drop)) ? spec.merge("drop" => drop.except("taken_at")) : spec
        end

        def answers?(answers)
          answers.is_a?(Hash) &&
            answers.all? do |code, answer|
              R::Judgement::Rules[code] && answer.is_a?(String) && answer.size <= AnswerForm::LONGEST
            end
        end

        def places?(drop)
          places = drop["taken_at"]
          places.is_a?(Array) && places.size == drop["readings"].size && places.uniq.size == places.size &&
            places.all? { |place| Work::Readings::PLACES.include?(place) || place.to_s.match?(/\A\d{1,2}\z/) }
        end
      end
    end
  end
end
