# frozen_string_literal: true

module EarnestFold
  module Work
    # A stored job as it is in hand: its works with what can be reckoned of them, what is missing from the others, and
    # what the job needs of each cloth. It never changes: whoever changes the job has another one in hand.
    class Job
      include Remembers

      KINDS = {Station::MADE => Treatment, Station::ALTERED => Alteration}.freeze
      private_constant :KINDS

      # @return [Store::Records::Job]
      attr_reader :job
      # @return [Reckoning::Unit]
      attr_reader :unit
      # @return [Array<Store::Records::Cloth>]
      attr_reader :cloth_records
      # @return [Store::House::Record] what the house has decided
      attr_reader :settled
      # @return [Reader]
      attr_reader :reader

      # @param job [Store::Records::Job]
      # @param cloth_records [Array<Store::Records::Cloth>]
      # @param settled [Store::House::Record]
      # @param made [Hash{String => Array}] the names of the cuts made, by treatment
      # @param progress [Store::Bench::Progress]
      # @param before [Job, nil] the same job as it was in hand before: what hasn't changed of it is taken over
      def initialize(job, cloth_records, settled, made = {}, progress = Store::Bench::NOTHING, before: nil)
        @job, @settled, @made, @progress = job, settled, made, progress
        @unit = house.unit(job.unit)
        @cloth_records = cloth_records
        @reader = Reader.new(cloth_records, unit)
        @in_hand = (before && before.ground == ground) ? before.unchanged(job.windows) : {}
      end

      # @return [Array] all that it was given, as far as it is the job's
      def made_of = [
        job.id, job.title, unit, job.version, job.notes, job.account, job.dates, job.extras, job.archived, job.invoiced,
        works.map(&:state), job.treatments.map { |record| [record.id, record.put_away] }, settled.state, cloths_seen
      ]

      # @param record [Store::Records::Treatment] as it is by now
      # @param read [Object] what {#read} gave for it
      # @return [Job] the same job with it, asked for nothing again
      #
      #   in_hand.with(work.record, in_hand.read(1, work.record.spec)).works.size # => 3
      def with(record, read)
        changed = window_of(record)
        windows = job.windows.map { |window| window.equal?(changed) ? window_with(window, record) : window }
        other = Job.new(job.with(windows: windows.freeze), cloth_records, settled, @made, @progress, before: self)
        other.reader.reckoned(record, read)
        other
      end

      # @return [Array<Reckoning::SmallPartOfJob>] that are to be cut beside the curtains
      #
      #   in_hand.small_parts # => []
      def small_parts =
        @small_parts ||= job.extras.fetch("small_parts", []).filter_map { |kept| reader.small_part(kept) }

      # @return [Reckoning::HouseRules]
      #
      #   in_hand.house.unit("in").name # => "in"
      def house = settled.rules

      # @return [Array<Treatment>] in order of the windows, without what is put away
      #
      #   in_hand.entries.map(&:title) # => ["office", "parlour"]
      def entries = @entries ||= at_work(Station::MADE)

      # @return [Array<Alteration>] somebody's own curtains, without what is put away
      #
      #   in_hand.alterations.map(&:title) # => ["landing"]
      def alterations = @alterations ||= at_work(Station::ALTERED)

      # For whoever looks at all of them, or makes them: one that can't be shown harms none of the others.
      # @return [Job] the same, each of its works known to be sound, or shown as faulty
      #
      #   in_hand.sound.works.size # => 3
      def sound
        @entries, @alterations = [entries, alterations].map { |works| works.map(&:sound) }
        self
      end

      # @param entry [AtWork]
      # @return [BenchLog] with the cautions alone that were seen to
      #
      #   in_hand.cautions(work).seen_to("yardstick") # => nil
      def cautions(entry) = BenchLog.new(@progress.cautions.fetch(entry.id, []))

      # @return [String, nil] in which state all is that was said at the bench of it
      #
      #   in_hand.said # => nil
      def said = @progress.state

      # @return [Array<AtWork>]
      #
      #   in_hand.works.map(&:title) # => ["office", "parlour", "landing"]
      def works = entries + alterations

      # @return [Array<Treatment>] what is put away, unreckoned
      #
      #   in_hand.put_away # => []
      def put_away =
        job.windows.flat_map do |window|
          window.treatments.select(&:put_away).map { |record| at_hand(Treatment, window, record, Reckoned.new([], [])) }
        end

      # @return [Array<Treatment>] the layers of an entry's window, from the glass to the room
      #
      #   in_hand.layers(work).map(&:title) # => ["office"]
      def layers(entry) = entries.select { |other| other.window.id == entry.window.id }

      # @return [Reckoning::Treatment, nil] the next layer towards the glass
      #
      #   in_hand.behind(work) # => nil
      def behind(entry)
        near = layers(entry).then { |row| (place = row.index(entry)) && place.positive? && row[place - 1] } or return
        asked(near)
      end

      # @param entry [Treatment]
      # @return [Reckoning::Treatment, nil] as it is reckoned; without its cloths, where nothing but a cloth is wanting
      #
      #   in_hand.asked(work).id # => "office"
      def asked(entry) = entry.reckoning ? entry.reckoning.treatment : before_cloth(entry)

      # @return [Reckoning::Unit] the other tape
      #
      #   in_hand.other_unit.name # => "in"
      def other_unit = (unit.name == "in") ? Reckoning::Units::CM : house.unit("in")

      # @return [Store::RuleSet, nil] the set that a treatment takes
      #
      #   in_hand.rule_set(work) # => nil
      def rule_set(entry) = settled.set(entry.record.spec["rules"])

      # @return [Store::Records::Tape, nil] the tape that its heading takes
      #
      #   in_hand.tape(work) # => nil
      def tape(entry) = settled.tape(entry.record.spec["tape"])

      # @return [Hash{String => Reckoning::Tape}] every tape of the house, by its id
      #
      #   in_hand.tapes # => {}
      def tapes =
        settled.tapes.filter_map { |record| Reader.tape(record, unit) }.to_h { |tape| [tape.id, tape] }

      # @return [AtWork] the same one that stands among the others; they aren't looked at for it
      # @raise [Store::Missing]
      #
      #   in_hand.work(3).title # => "landing"
      def work(treatment_id)
        return alone(treatment_id) unless @entries && @alterations

        works.find { |entry| entry.id == treatment_id } || missing(treatment_id)
      end

      # @return [Treatment] what is made here: somebody's own curtain isn't
      # @raise [Store::Missing]
      #
      #   in_hand.made(2).title # => "parlour"
      def made(treatment_id) =
        entries.find { |entry| entry.id == treatment_id } || missing(treatment_id)

      # @return [Reckoning::Treatment, Reckoning::AlterationOfJob, Array<Reckoning::Problem>] what a spec is, or why it
      #   can't be reckoned
      #
      #   in_hand.read("office", work.record.spec).class # => EarnestFold::Reckoning::Treatment
      def read(id, spec) = reader.read(id, spec)

      # @return [Rational, nil] what the order of work takes by a spec; nil where nothing can be made by it yet
      #
      #   in_hand.minutes(1, work.record.spec).round # => 406
      def minutes(id, spec)
        made = read(id, spec)
        return if made.is_a?(Array)

        Reckoning::MakingUp::Order.new(made.respond_to?(:reckon) ? made.reckon : made, house).minutes
      end

      # @return [Reckoning::Treatment, nil] one without its cloths, where nothing but a cloth is wanting
      #
      #   in_hand.before_cloth(work).id # => "office"
      def before_cloth(entry)
        return if entry.reckoned.faulty? || entry.problems.any? { |problem| entry.station_of(problem) != "cloth" }

        reader.without_cloths(entry.id, entry.record.spec)
      end

      # @return [Figures] what is reckoned of all that is made here
      #
      #   in_hand.figures.reckonings.size # => 2
      def figures = @figures ||= Figures.new(entries.map(&:reckoned), unit)

      # @return [Array<Reckoning::ClothReckoning>] the cloths that this job uses
      #
      #   in_hand.cloths_needed.map { |one| one.cloth.id } # => ["plain", "sateen"]
      def cloths_needed = figures.cloths_needed

      # @return [Hash{String => Reckoning::Length}] what the parts beside the curtains take of each cloth, by its id,
      #   where nothing left over takes them
      #
      #   in_hand.parts_needed.first # => nil
      def parts_needed
        wanted = parts_by_cloth
        cloths_needed.map(&:cloth).select { |cloth| wanted.key?(cloth.id) }.to_h do |cloth|
          [cloth.id, Reckoning::Cutting::SmallCuts.length(wanted.fetch(cloth.id), cloth)]
        end
      end

      # @return [Hash{String => Array<Reckoning::SmallPartOfJob>}] what is cut beside the curtains, by the cloth's id
      #
      #   in_hand.parts_by_cloth # => {}
      def parts_by_cloth =
        once(:parts_by_cloth) { Reckoning::Cutting::PartsWanted.by_cloth(small_parts, figures.reckonings) }

      # @return [Hash{Symbol => Integer, Reckoning::Length}] small parts that are there
      #
      #   in_hand.on_hand # => {}
      def on_hand =
        Memory.fetch(Memory.state([settled.state, unit]), [:on_hand]) do
          settled.on_hand.to_h do |name, stored|
            [name.to_sym, stored.is_a?(Integer) ? stored : Reckoning::LengthReader.read(stored, unit)]
          end
        end

      # @return [Array<Reckoning::TreatmentReckoning, Reckoning::AlterationOfJob>] all work that needs small parts
      #
      #   in_hand.work_reckoned.size # => 3
      def work_reckoned = figures.reckonings + alterations.filter_map(&:reckoning)

      # @return [Array<Reckoning::Hardware>] what a treatment takes, held against what is on hand
      #
      #   in_hand.hardware(work).size # => 3
      def hardware(entry) =
        entry.reckoning ? Reckoning::HardwareCount.of(entry.reckoning, work_reckoned, on_hand) : []

      # @return [Array<Reckoning::Hardware>] what the whole job is short of
      #
      #   in_hand.hardware_short # => []
      def hardware_short = Reckoning::HardwareCount.of_job(work_reckoned, on_hand).select(&:short)

      # @param cloth [Reckoning::Cloth, nil]
      # @return [String] its own colour
      #
      #   in_hand.colour(cloth) # => "#c8b79a"
      def colour(cloth) = reader.cloth_record(cloth&.id)&.colour || "#efe8d8"

      # @return [Array<Integer>] the cloths that any of its treatments or small parts uses
      def cloths_used
        of_treatments = job.treatments.flat_map { |made| reader.cloths_of(made.spec) }
        (of_treatments + job.extras.fetch("small_parts", []).map { |part| part["cloth"] })
          .compact
          .uniq
          .map { |id| Integer(id, 10) }
      end

      protected

      # What every work of the job stands on.
      def ground = [unit, job.invoiced, cloth_records, settled.state, @made, @progress]

      # @param windows [Array<Store::Records::Window>] as they are by now
      # @return [Hash{Integer => AtWork}] the works in hand of which neither the figures nor the window have changed
      def unchanged(windows)
        windows.each_with_object({}) do |window, kept|
          window.treatments.each do |record|
            one = @in_hand[record.id]
            kept[record.id] = one if one && one.record.equal?(record) && one.window == window
          end
        end
      end

      private

      def window_of(record) = job.windows.find { |window| window.treatments.any? { |one| one.id == record.id } }

      def window_with(window, record) =
        window.with(treatments: window.treatments.map { |one| (one.id == record.id) ? record : one }.freeze)

      # Names, prices and colours stand with the cloths: all of them can be chosen from.
      def cloths_seen = cloth_records.map { |record| [record.id, record.version, record.source, record.colour] }

      def at_work(sort)
        job.windows.flat_map do |window|
          window.treatments.select { |record| at_work?(record, sort) }.map { |record| in_hand(window, record) }
        end
      end

      def at_work?(record, sort) = !record.put_away && record.sort == sort

      def alone(treatment_id)
        job.windows.each do |window|
          record = window.treatments.find { |one| one.id == treatment_id && !one.put_away }
          return in_hand(window, record) if record
        end
        missing(treatment_id)
      end

      def missing(treatment_id) = raise(Store::Missing, "no treatment #{treatment_id}")

      def in_hand(window, record) =
        @in_hand[record.id] ||= at_hand(KINDS.fetch(record.sort), window, record, reader.reckoned(record))

      def at_hand(kind, window, record, reckoned) =
        kind.new(
          record: record,
          window: window,
          reckoned: reckoned,
          house: house,
          house_state: settled.state,
          progress: AtWork::Progress.new(
            made: @made.fetch(record.id.to_s, []),
            done: @progress.done.fetch(record.id, []),
            hung: @progress.hung.include?(record.id),
            invoiced: job.invoiced
          )
        )
    end
  end
end
