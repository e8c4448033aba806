# frozen_string_literal: true

module EarnestFold
  module Work
    # Reads what is kept of a job into the core: its cloths, and each work as far as it can be read.
    class Reader
      R = Reckoning
      # What each treatment's fields read last: who changes one field, again and again, has the others read once.
      LAST = Store::Remembered.new(1000)
      private_constant :LAST

      # @param cloth_records [Array<Store::Records::Cloth>]
      # @param unit [Reckoning::Unit] of lengths that name none
      def initialize(cloth_records, unit)
        @records, @unit = cloth_records.to_h { |record| [record.id.to_s, record] }, unit
        @unit_state = Memory.state([unit])
        # Only the cloths that treatments use are read: a workroom has many more.
        @cloths = Hash.new { |cloths, id| cloths[id] = @records[id] && Reader.cloth(@records[id], @unit) }
      end

      # @param record [Store::Records::Cloth]
      # @param unit [Reckoning::Unit]
      # @return [Reckoning::Cloth, nil]
      #
      #   Work::Reader.cloth(cloths_kept.first, Units::CM).width # => 1400 mm
      def self.cloth(record, unit)
        Memory.fetch(Memory.state([record.id, record.source, unit]), [:cloth]) do
          place = R::Problems.new
          values = R::Cloth::FIELDS.read({"id" => record.id.to_s}.merge(record.spec), unit, place)
          values && R::Cloth.build(values, place)
        end
      end

      # @param record [Store::Records::Tape]
      # @param unit [Reckoning::Unit]
      # @return [Reckoning::Tape, nil]
      def self.tape(record, unit)
        values = R::Tape::FIELDS.read({"id" => record.id.to_s}.merge(record.spec), unit, R::Problems.new)
        values && R::Tape.new(**values)
      end

      # @param id [String, nil]
      # @return [Store::Records::Cloth, nil]
      #
      #   in_hand.reader.cloth_record("plain").colour # => "#c8b79a"
      def cloth_record(id) = @records[id]

      # @param record [Store::Records::Treatment]
      # @param read [Object, nil] what {#read} gave for it already
      # @return [Reckoned]
      #
      #   in_hand.reader.reckoned(work.record).problems.size # => 0
      def reckoned(record, read = nil)
        made_of = [record.id, record.source, @unit_state, cloths_of(record.spec).map { |id| @records[id]&.source }]
        Memory.fetch(Memory.state(made_of), [:reckoned]) do
          Reckoned.new(read || read(record.id, record.spec), made_of)
        end
      end

      # @param id [Integer]
      # @param spec [Hash]
      # @return [Reckoning::Treatment, Reckoning::AlterationOfJob, Array<Reckoning::Problem>] what it is, or why it
      #   can't be reckoned
      #
      #   in_hand.reader.read("office", work.record.spec).id # => "office"
      def read(id, spec)
        place = R::Problems.new
        return alteration(id, spec, place) if spec.key?("kind")

        treatment(id, spec, place) || place.to_a
      rescue => error
        Faults.tell("work #{id} can't be read", error)
        [Reckoned::FAULT]
      end

      # @param id [Integer]
      # @param spec [Hash]
      # @return [Reckoning::Treatment, nil] without its cloths
      #
      #   in_hand.reader.without_cloths("office", work.record.spec).face # => nil
      def without_cloths(id, spec)
        raw = {"id" => id.to_s}.merge(spec).merge("face" => "none").except("lining", "interlining", "trimming")
        values = R::Treatment.read(raw, @unit, R::Problems.new)
        values && R::Treatment.new(**values, face: nil)
      end

      # @param kept [Hash] as a job keeps it
      # @return [Reckoning::SmallPartOfJob, nil]
      def small_part(kept)
        kind, problems = R::SmallParts[kept["kind"]], R::Problems.new
        values = kind&.fields&.read(kept, @unit, problems)
        values && R::SmallPartOfJob.new(id: kept["id"], part: kind.build(values, problems), cloth: kept["cloth"])
      end

      # @param spec [Hash]
      # @return [Array<String>] the cloths that a treatment names
      #
      #   in_hand.reader.cloths_of(work.record.spec) # => ["plain"]
      def cloths_of(spec) =
        [spec["face"], spec.dig("lining", "cloth"), spec.dig("interlining", "cloth"), spec["trimming"]].compact

      private

      def treatment(id, spec, place)
        last = [id, @unit_state]
        R::TreatmentReader
          .new(@cloths, @unit)
          .read({"id" => id.to_s}.merge(spec), place, known: LAST[last]) { |read| LAST[last] = read }
      end

      def alteration(id, spec, place)
        kind = R::Alterations[spec["kind"]]
        return place.within(:kind).add(:not_a_choice, words: R::Alterations.names) || place.to_a unless kind

        values, own = kind.fields.read(spec, @unit, place), R::OwnCurtain::FIELDS.read(spec, @unit, place)
        made = values && kind.build(values, place)
        return place.to_a if place.any?

        R::AlterationOfJob.new(id: id.to_s, alteration: made, curtain: R::OwnCurtain.new(**own))
      end
    end
  end
end
