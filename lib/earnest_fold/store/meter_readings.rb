# frozen_string_literal: true

module EarnestFold
  module Store
    # What distance meters read, and what was typed for them: it waits until somebody looks at it, and takes it as a
    # figure or lays it aside. What can't be a length is kept too, to be looked at.
    class MeterReadings
      # So many wait, and so many that were refused are shown; hours that one waits, days that one is kept.
      MOST, REFUSED, WAITS, KEPT = 24, 3, 12, 30
      # Of what was refused so much is kept, as it was sent.
      LONGEST = 80
      # `length` as it was read, with its unit; `path` the field it was taken as.
      Reading = Reckoning::Value.define(:id, :meter_id, :length, :state, :why, :path, :at)

      # @param workroom [Workroom]
      def initialize(workroom)
        @workroom = workroom
      end

      # @param length [String] with its unit: "2143 mm"
      # @param meter [Meters::Meter, nil] nil where it was typed
      # @param press [String, nil] the meter's own number for it
      # @return [Boolean] whether it is new
      # @raise [Full] where too many wait
      def arrived(person, length, meter: nil, press: nil)
        @workroom.transaction do
          forget(person)
          raise Full, "readings" unless waiting_rows(person).count < MOST

          heard(meter)
          put(person, meter, length: length, press: press)
        end
      end

      # @param told [String] as it was sent
      # @param why [String] one of our own words
      def refused(person, told, why, meter: nil)
        @workroom.transaction do
          forget(person)
          heard(meter)
          put(person, meter, length: plain(told), state: "refused", why: why)
        end
      end

      # @return [Array<Reading>] those that wait for a person, in the order in which they came
      def waiting(person) = read(waiting_rows(person).order(:id))

      # @return [Array<Reading>] what was refused lately, the last first
      def turned_away(person) =
        read(lately(person).where(state: "refused").order(Sequel.desc(:id)).limit(REFUSED))

      # @return [Array<Reading>] what was taken at a work, in its order
      def taken(work) = read(rows.where(treatment_id: work, state: "taken").order(:id))

      # @param id [Integer]
      # @return [Reading, nil] nil where it doesn't wait (any more)
      def find(person, id) = read(waiting_rows(person).where(id: id)).first

      # @raise [Missing] where it doesn't wait any more
      def take(person, id, work, path)
        taken = ended(person, id, state: "taken", treatment_id: work, path: path)
        taken == 1 or raise Missing, "no reading #{id}"
      end

      # Laid aside twice it lies aside.
      def lay_aside(person, id) = ended(person, id, state: "aside")

      # What was refused has been looked at.
      def seen(person) = Store.guard { rows.where(person_id: person, state: "refused").update(state: "aside") }

      private

      def rows = @workroom.rows(:meter_readings)

      def read(rows) = Store.guard { rows.map { |row| Reading.new(**row.slice(*Reading.members)) } }

      def lately(person) =
        rows.where(person_id: person).where { at > Sequel.lit("now() - interval '#{WAITS} hours'") }

      def waiting_rows(person) = lately(person).where(state: "waiting")

      # Sent once more, it is there already.
      def put(person, meter, **values)
        made = {workroom_id: @workroom.id, person_id: person, meter_id: meter&.id, **values}
        !rows.insert_conflict.returning(:id).insert(made).empty?
      end

      def plain(told) = told.dup.force_encoding(Encoding::UTF_8).scrub("?").delete("\u0000")[0, LONGEST]

      def heard(meter) =
        meter && @workroom.rows(:meters).where(id: meter.id).update(heard_at: Sequel::CURRENT_TIMESTAMP)

      def forget(person) =
        rows.where(person_id: person).where { at < Sequel.lit("now() - interval '#{KEPT} days'") }.delete

      # @return [Integer] how many did
      def ended(person, id, **values) = Store.guard { waiting_rows(person).where(id: id).update(**values) }
    end
  end
end
