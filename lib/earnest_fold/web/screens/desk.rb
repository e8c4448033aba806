# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # What every station of a treatment shows: the job, the rail of windows, the tape, the working; and its own
      # fields.
      class Desk
        include SeeingTo

        R = Reckoning
        attr_reader :sheet, :entry, :form

        # @param sheet [Work::Job]
        # @param entry [Work::Treatment]
        # @param form [Forms::TreatmentForm, nil] with what could not be taken
        # @param notice [Symbol, nil] something to say above the station
        # @param part [String, nil] which curtain is looked at
        # @param told [Array<Differences::OfField>] what else was changed by one choice
        # @param touched [Array<String>, nil] the fields that the page before didn't show as they are by now; nil for
        #   all of them
        # @param log [Work::BenchLog, nil] with the cautions that were seen to
        def initialize(sheet, entry, form: nil, notice: nil, part: nil, log: nil, told: [], touched: nil)
          @log, @told, @touched = log, told, touched
          @sheet, @entry, @form, @notice, @part = sheet, entry, form, notice, part
        end

        attr_reader :told

        # @return [Array<Forms::Merging::Both>] what was typed beside what somebody else left meanwhile
        def both_versions = form ? form.clashes : []

        # @return [String, nil] where work goes on from here
        def onward = entry.stations[entry.stations.index(station) + 1]

        # @return [Array<Symbol>] what it is shown with besides the job and the work
        def self.asks = []

        def station = self.class::STATION

        # @return [Symbol] the view of what stands in the middle
        def view = :"_#{station}"

        def unit = sheet.unit

        def job = sheet.job

        def spec = entry.record.spec

        def reckoning = entry.reckoning

        # @return [Reckoning::Treatment, nil] as reckoned; without its cloths, where nothing but a cloth is wanting
        def treatment = @treatment ||= sheet.asked(entry)

        # @return [Array<Reckoning::Hardware>]
        def hardware = @hardware ||= once(:hardware) { sheet.hardware(entry) }

        # @return [Reckoning::HouseRules]
        def house = sheet.house

        # @yieldreturn [String] the working as it is shown
        def shown_working(&block) = Fragments.of(self, :working, &block)

        # Fields as they are shown while nothing typed was refused.
        # @yieldreturn [String]
        def shown_fields(name, &block) = form ? block.call : Fragments.of(self, :fields, name, &block)

        # @param key [Array] what something depends on besides the treatment and its cloths
        # @return [Object] what the block makes of it, made once
        def once(*name, &block) = sheet.once(self.class.name, entry.id, *name, &block)

        # @return [Reckoning::Curtain, nil] the one looked at
        def curtain = reckoning && (reckoning.curtains.find { |made| made.hand == @part } || reckoning.curtains.first)

        attr_reader :part

        # The stations of a work with the state of each, how many of them are behind, and the one looked at.
        StationTape = R::Value.define(:job, :work, :states, :behind, :station, :open) do
          # @return [Boolean] whether it can be gone to
          def open?(to) = open.include?(to)

          def path(to) = Paths.station(job, work, to)
        end

        # @param open [Array<String>] those of the work's stations that who looks at it may go to
        # @return [StationTape]
        def station_tape(open)
          states = entry.stations.to_h { |one| [one, entry.station_state(one)] }
          StationTape.new(
            job: job.id, work: entry.id, states: states, behind: entry.behind, station: station, open: open
          )
        end

        # @return [Array<WindowRail>] all works of the job
        def rail = WindowRail.parts(sheet, place_in_rail, station)

        # @param step [Integer] −1 or 1
        # @return [String, nil] the same station of the treatment before or after
        def neighbour(step)
          place = place_in_rail + step
          other = sheet.works[place] unless place.negative?
          other && WindowRail.path(sheet, other, station)
        end

        def notice = @notice && Words.say("notices.#{@notice}")

        def path(to = station) = Paths.station(job.id, entry.id, to)

        def page_title = "#{Words.say("stations.#{station}")}, #{entry.title}"

        # @param options [Hash{String => String}, nil] what there is to choose from, where the field doesn't say it
        # @return [Field]
        def field(path, options: nil) = stands?(path) ? Field.same(path) : made_field(path, options)

        # Figures that not every window has: folded until one of them matters. What they say until then is `told`.
        Fold = R::Value.define(:name, :fields, :open, :told) do
          # @return [Boolean] whether it stands on the page already just as it is
          def same? = told.nil?
        end

        # @param name [Symbol]
        # @param paths [Array<String>] its fields
        # @param options [Hash{String => Hash}] what there is to choose from, where a field doesn't say it
        # @return [Fold, nil] nil where there are none
        def fold(name, paths, options = {})
          return if paths.empty?
          # It tells of all its fields: made anew as a whole, or not at all.
          return Fold.new(name: name, fields: [], open: false, told: nil) if paths.all? { |path| stands?(path) }

          fields = paths.map { |path| made_field(path, options[path]) }
          told = fields.filter_map(&:in_short).join(" · ")
          Fold.new(name: name, fields: fields, open: fields.any?(&:matters?), told: told)
        end

        # @return [Hash{String => Reckoning::Check}] what stops the work, by the field to change first at each station
        def stops =
          @stops ||=
            entry
              .checks
              .select(&:stop?)
              .flat_map { |check| Work::SpecFields.one_a_station(check.at, spec).map { |path| [path, check] } }
              .reverse
              .to_h

        # @return [Boolean] whether it has notes, or a name of its own
        def noted? = spec.values_at("notes", "name").any? { |words| !words.to_s.empty? }

        # @return [Ruled]
        def ruled = @ruled ||= Ruled.new(sheet.rule_set(entry), spec, unit, tape: sheet.tape(entry)).remembered

        # @return [Field] which of the house's sets the treatment takes
        def rule_sets =
          field(
            "rules",
            options: {"" => Words.say("house.no_set")}.merge(
              sheet.settled.sets.to_h { |set| [set.id.to_s, set.name] }
            )
          )

        # @return [Array<Reckoning::Check>] those that speak here
        def checks = entry.checks_at(station)

        # @return [Array<Reckoning::Remark>] what an experienced maker would say here
        def remarks = @remarks ||= said_here

        # @return [Array<Array(String, String)>] the questions answered here: code and answer
        def answers
          spec
            .fetch("answers", {})
            .select { |code, _| R::Judgement::Rules[code]&.stations&.include?(station) }
            .to_a
        end

        # @return [Array<Reckoning::Line>]
        def working = @working ||= reckoning ? reckoning.working : []

        # A line with the name of the rule that spoke there, and whether it is departed from.
        WorkingLine = R::Value.define(:line, :unit, :rule, :departs)

        # @yieldparam line [WorkingLine]
        # @yieldreturn [String] as it is shown
        # @return [String]
        def shown_lines(&block) = Fragments.rows([self.class.name, entry.id], working_lines, &block)

        # @return [Array<WorkingLine>]
        def working_lines = working.map do |line|
          rule = ruled.line_mark(line)
          WorkingLine.new(line: line, unit: unit, rule: rule&.name, departs: rule&.departs)
        end

        # @return [Array<String>] what is still to be given before the treatment can be reckoned
        def missing
          entry.problems.map { |problem| Words.missing(problem, unit) }.uniq
        end

        def colour = sheet.colour(face)

        def face = reckoning&.treatment&.face

        private

        # Where it stands among the works of the job.
        def place_in_rail = @place_in_rail ||= sheet.works.index { |other| other.id == entry.id }

        # Whether it stands on the page already just as it is.
        def stands?(path) = @touched && !@touched.include?(path) && !stops.key?(path)

        def made_field(path, options = nil)
          declared, stored = Work::SpecFields.field(path, spec), Work::SpecFields.stored(path, spec)
          problem, now = form&.problems&.[](path), Work::SpecFields.worded(declared, stored, unit)
          Field.of(
            path: path,
            label: Words.field_label(path),
            options: options || Field.options(declared),
            hint: hint(declared.kind, stored, now),
            rule: mark_at(path),
            text: typed_at(path) || now,
            now: now,
            problem: problem ? Words.field_problem(problem, unit) : trouble_at(path),
            offer: problem&.data&.[](:offer)&.then { |meant| declared.kind.show(meant, unit) },
            stop: stops[path]&.then { |check| Words.check(check, unit) },
            taken: taken_beside(declared),
            plain: declared.kind.plain_number?(unit),
            most: declared.kind.longest
          )
        end

        # What the house's rules say of a field.
        def mark_at(path) = ruled.mark(path)

        # What was typed and not taken.
        def typed_at(path) = form&.typed&.fetch(path, nil)

        # What is wrong with it beyond what was typed.
        def trouble_at(_path) = nil

        def taken_beside(declared) = taken_as(declared)

        # Stations that look at more than the job say their own.
        def said_here = once(:said) { entry.said_at(station, sheet) }

        # What an empty field is taken as; nil where nothing is taken for it.
        def taken_as(declared)
          case (taken = declared.required? ? nil : declared.default)
          when R::Length then taken.zero? ? "0" : Words.length(taken, unit)
          when Numeric then Words.number(taken)
          end
        end

        # A length typed in another unit than the one shown says how it was typed.
        def hint(kind, stored, now)
          return unless stored && kind.is_a?(R::FieldKinds::LengthKind)

          Words.say("fields.typed_as", typed: stored) unless now == stored.delete_suffix(" #{unit.name}")
        end
      end
    end
  end
end
