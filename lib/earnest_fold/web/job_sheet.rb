# frozen_string_literal: true

module EarnestFold
  module Web
    # A stored job read into the core: which treatments can be reckoned, what is missing from the others, and what the
    # job needs of each cloth. Made once a request.
    class JobSheet
      # A treatment reckoned takes some tens of kilobytes.
      TREATMENTS = Store::Remembered.new(1500)
      NEEDS = Store::Remembered.new(200)
      CLOTHS = Store::Remembered.new(500)
      KEYS = Store::Remembered.new(200)
      private_constant :TREATMENTS, :NEEDS, :CLOTHS, :KEYS

      attr_reader :job, :unit, :cloth_records, :settled

      # @param job [Store::Records::Job]
      # @param cloth_records [Array<Store::Records::Cloth>]
      # @param settled [Store::House::Record] what the house has decided
      # @param made [Hash{String => Array}] the names of the cuts made, by treatment
      # @param progress [Store::Bench::Progress]
      # @param read [Hash{Integer => Object}] treatments that were read already
      def initialize(job, cloth_records, settled, made = {}, progress = Store::Bench::NOTHING, read: {})
        @read = read
        @job, @settled, @made, @progress = job, settled, made, progress
        @unit = house.unit(job.unit)
        @cloth_records = cloth_records
        @records = cloth_records.to_h { |record| [record.id.to_s, record] }
        @cloths = Hash.new { |cloths, id| cloths[id] = find_cloth(id) }
      end

      # @param record [Store::Records::Treatment] as it is by now
      # @param read [Object] what {#read} gave for it
      # @return [JobSheet] the same job with it, asked for nothing again
      def with(record, read)
        windows = job.windows.map do |window|
          window.with(treatments: window.treatments.map { |one| (one.id == record.id) ? record : one }.freeze)
        end
        JobSheet.new(
          job.with(windows: windows.freeze),
          cloth_records,
          settled,
          @made,
          @progress,
          read: {record.id => read}
        )
      end

      # @return [Reckoning::Cloth, nil]
      def self.cloth(record, unit)
        CLOTHS.fetch([record.id, record.source, unit]) do
          place = Reckoning::Problems.new
          values = Reckoning::Cloth::FIELDS.read({"id" => record.id.to_s}.merge(record.spec), unit, place)
          values && Reckoning::Cloth.build(values, place)
        end
      end

      # @return [Array<Reckoning::SmallPartOfJob>] that are to be cut beside the curtains
      def small_parts
        @small_parts ||= job.extras.fetch("small_parts", []).filter_map do |kept|
          kind, problems = Reckoning::SmallParts[kept["kind"]], Reckoning::Problems.new
          values = kind&.fields&.read(kept, unit, problems)
          values &&
            Reckoning::SmallPartOfJob.new(id: kept["id"], part: kind.build(values, problems), cloth: kept["cloth"])
        end
      end

      # @return [Reckoning::HouseRules]
      def house = settled.rules

      # @return [Array<Entry>] in order of the windows, without what is put away
      def entries = @entries ||= at_work { |record| !record.alteration? }.map { |window, record| entry(window, record) }

      # @return [Array<AlteredEntry>] somebody's own curtains, without what is put away
      def alterations = @alterations ||= at_work(&:alteration?).map { |window, record| altered(window, record) }

      # For whoever looks at all of them, or makes them: one that can't be shown harms none of the others.
      # @return [JobSheet] the same, each of its works known to be sound, or shown as faulty
      def sound
        @entries, @alterations = [entries, alterations].map { |works| works.map { |work| Soundness.of(work) } }
        self
      end

      # @param entry [Entry, AlteredEntry]
      # @return [BenchLog] with the cautions alone that were seen to
      def cautions(entry) = BenchLog.new(@progress.cautions.fetch(entry.id, []))

      # @return [Array<Entry, AlteredEntry>]
      def works = entries + alterations

      # @return [Array<Entry>] what is put away, unreckoned
      def put_away
        job.windows.flat_map do |window|
          window
            .treatments
            .select(&:put_away)
            .map do |record|
              Entry.new(
                record: record,
                window: window,
                reckoned: Reckoned.new([], nil),
                made: [],
                done: [],
                house: house,
                hung: false,
                invoiced: false
              )
            end
        end
      end

      # @return [Array<Entry>] the layers of an entry's window, from the glass to the room
      def layers(entry) = entries.select { |other| other.window.id == entry.window.id }

      # @return [Reckoning::Treatment, nil] the next layer towards the glass
      def behind(entry)
        near = layers(entry).then { |row| (place = row.index(entry)) && place.positive? && row[place - 1] } or return
        near.reckoning ? near.reckoning.treatment : before_cloth(near)
      end

      # @return [Store::RuleSet, nil] the set that a treatment takes
      def rule_set(entry) = settled.set(entry.record.spec["rules"])

      # @return [Entry, AlteredEntry]
      # @raise [Store::Missing]
      def fetch(treatment_id) =
        works.find { |entry| entry.id == treatment_id } || raise(Store::Missing, "no treatment #{treatment_id}")

      # @return [Entry] what is made here: somebody's own curtain isn't
      # @raise [Store::Missing]
      def fetch_made(treatment_id) =
        entries.find { |entry| entry.id == treatment_id } || raise(Store::Missing, "no treatment #{treatment_id}")

      # @return [Reckoning::Treatment, Reckoning::AlterationOfJob, Array<Reckoning::Problem>] what it is, or why it
      #   can't be reckoned
      def read(id, spec)
        place = Reckoning::Problems.new
        return read_alteration(id, spec, place) if spec.key?("kind")

        treatment = Documents::TreatmentReader.new(@cloths, @unit).read({"id" => id.to_s}.merge(spec), place)
        treatment || place.to_a
      rescue => error
        RequestLog.note("work #{id} can't be read", error)
        [Reckoned::FAULT]
      end

      # @return [Reckoning::Treatment, nil] one without its cloths, where nothing but a cloth is wanting
      def before_cloth(entry)
        return unless entry.problems.all? { |problem| problem.at.match?(%r{\A/(face|lining)}) }

        raw = {"id" => entry.id.to_s}.merge(entry.record.spec).merge("face" => "none").except("lining", "interlining")
        values = Reckoning::Treatment.read(raw, unit, Reckoning::Problems.new)
        values && Reckoning::Treatment.new(**values, face: nil)
      end

      # @return [Object] one for everything that the job's figures were made from: long keys are compared once
      def key = @key ||= KEYS.fetch(entries.map { |entry| entry.reckoned.key }) { Object.new }

      # @return [Array<Reckoning::ClothReckoning>] the cloths that this job uses
      def cloths_needed
        made = entries.filter_map(&:reckoning)
        NEEDS.fetch(key) do
          made
            .flat_map { |reckoning| reckoning.treatment.cloths }
            .uniq(&:id)
            .map { |cloth| Reckoning::ClothReckoning.of(cloth, made) }
        end
      end

      # @return [Hash{Symbol => Integer, Reckoning::Length}] small parts that are there
      def on_hand
        settled.on_hand.to_h do |name, stored|
          [name.to_sym, stored.is_a?(Integer) ? stored : Reckoning::LengthReader.read(stored, unit)]
        end
      end

      # @return [Array<Reckoning::Hardware>] what a treatment takes, held against what is on hand
      def hardware(entry) =
        entry.reckoning ? Reckoning::HardwareCount.of(entry.reckoning, entries.filter_map(&:reckoning), on_hand) : []

      # @return [Array<Reckoning::Hardware>] what the whole job is short of
      def hardware_short = Reckoning::HardwareCount.of_job(entries.filter_map(&:reckoning), on_hand).select(&:short)

      # @param cloth [Reckoning::Cloth, nil]
      # @return [String] its own colour
      def colour(cloth) = @records[cloth&.id]&.colour || "#efe8d8"

      # @param entry [Entry]
      # @return [String] SVG
      def silhouette(entry)
        if entry.alteration?
          return entry.reckoned.once(:silhouette) { Drawings::AlteredSilhouette.new(entry.reckoning).to_s }
        end

        colour = colour(entry.reckoning&.treatment&.face)
        entry.reckoned.once(:silhouette, colour) { Drawings::Silhouette.new(entry.reckoning, colour).to_s }
      end

      # @return [Array<Integer>] the cloths that any of its treatments or small parts uses
      def cloths_used
        of_treatments = job.treatments.flat_map do |made|
          [made.spec["face"], made.spec.dig("lining", "cloth"), made.spec.dig("interlining", "cloth")]
        end
        (of_treatments + job.extras.fetch("small_parts", []).map { |part| part["cloth"] }).compact.uniq.map do |id|
          Integer(id, 10)
        end
      end

      # @param pieces [Array<Store::Records::Piece>] of the cloths that it uses
      # @return [Documents::JobWriter::Kept] the job with the cloths that it uses, to be written as a document
      def kept(pieces = [])
        cloths = cloth_records.select { |record| cloths_used.include?(record.id) }
        Documents::JobWriter::Kept.new(
          title: job.title,
          unit: job.unit,
          extras: with_alterations,
          cloths: cloths.to_h { |record| [record.id.to_s, with_pieces(record, pieces)] },
          windows: windows_kept
        )
      end

      private

      # @yieldparam record [Store::Records::Treatment]
      # @return [Array<Array(Store::Records::Window, Store::Records::Treatment)>]
      def at_work =
        job.windows.flat_map do |window|
          window.treatments.select { |record| !record.put_away && yield(record) }.map { |record| [window, record] }
        end

      def read_alteration(id, spec, place)
        kind = Reckoning::Alterations[spec["kind"]] or
          return place.within(:kind).add(:not_a_choice, words: Reckoning::Alterations.names) || place.to_a
        values, own = kind.fields.read(spec, unit, place), Reckoning::OwnCurtain::FIELDS.read(spec, unit, place)
        alteration = values && kind.build(values, place)
        if place.any?
          place.to_a
        else
          Reckoning::AlterationOfJob.new(id: id.to_s, alteration: alteration, curtain: Reckoning::OwnCurtain.new(**own))
        end
      end

      # A window at which something is altered only is none of the document's windows.
      def windows_kept
        job
          .windows
          .reject { |window| window.treatments.any? && window.treatments.all?(&:alteration?) }
          .map do |window|
            [
              window.id.to_s,
              window.room,
              window.name,
              window
                .treatments
                .reject { |made| made.put_away || made.alteration? }
                .to_h { |made| [made.id.to_s, named_rules(made.spec)] }
            ]
          end
      end

      def with_alterations
        return job.extras if alterations.empty?

        # A copy goes by its own name: no two have the same.
        kept =
          alterations
            .group_by(&:document_id)
            .flat_map do |id, same|
              same.each_with_index.map { |entry, index| [entry, index.zero? ? id : "#{id}-#{entry.id}"] }
            end
            .to_h
        job.extras.merge(
          "alterations" => alterations.map { |entry| entry.record.spec.merge("id" => kept.fetch(entry)) }
        )
      end

      # A set's number means nothing elsewhere: out of the house it goes by its name.
      def named_rules(spec) = spec["rules"] ? spec.merge({"rules" => settled.set(spec["rules"])&.name}.compact) : spec

      # What is left of each piece on the shelf goes along.
      def with_pieces(record, pieces)
        here = pieces.select { |piece| piece.cloth_id == record.id && piece.piece.left.positive? }
        here.empty? ? record.spec : record.spec.merge("pieces" => here.map { |piece| Store::Shelf.to_document(piece) })
      end

      # Only the cloths that treatments use are read: a workroom has many more.
      def find_cloth(id)
        record = @records[id]
        record && JobSheet.cloth(record, unit)
      end

      def entry(window, record)
        key = [record.id, record.source, unit, *sources_of_cloths(record.spec)]
        Entry.new(
          record: record,
          window: window,
          reckoned: reckoned(key, record),
          made: @made.fetch(record.id.to_s, []),
          done: @progress.done.fetch(record.id, []),
          house: house,
          hung: @progress.hung.include?(record.id),
          invoiced: job.invoiced
        )
      end

      def altered(window, record)
        key = [record.id, record.source, unit]
        AlteredEntry.new(
          record: record,
          window: window,
          reckoned: reckoned(key, record),
          done: @progress.done.fetch(record.id, []),
          house: house,
          hung: @progress.hung.include?(record.id),
          invoiced: job.invoiced
        )
      end

      def reckoned(key, record) =
        TREATMENTS.fetch(key) { Reckoned.new(@read.fetch(record.id) { read(record.id, record.spec) }, key) }

      def sources_of_cloths(spec)
        ids = [spec["face"], spec.dig("lining", "cloth"), spec.dig("interlining", "cloth")].compact
        ids.map { |id| @records[id]&.source }
      end
    end
  end
end
