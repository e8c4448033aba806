# frozen_string_literal: true

module EarnestFold
  module Store
    # A workroom and everything that belongs to it: the only door to the rows.
    class Workroom
      # Who is at work: their name, or "" where nobody has said.
      attr_reader :id, :by

      def initialize(id, by: "")
        @id, @by = id, by
        freeze
      end

      # @param name [String]
      # @return [Workroom] the same, with changes in that person's name
      def as(name) = Workroom.new(id, by: name)

      # @return [Jobs]
      def jobs = Jobs.new(self)

      # @param job [Integer]
      # @return [Windows] that job's
      def windows(job) = Windows.new(self, job)

      # @return [AtCutting]
      def at_cutting = AtCutting.new(self)

      # @return [AtPiece]
      def at_piece = AtPiece.new(self)

      # @return [AtHand]
      def at_hand = AtHand.new(self)

      # @return [Treatments]
      def treatments = Treatments.new(self)

      # @return [Cloths]
      def cloths = Cloths.new(self)

      # @return [Tapes]
      def tapes = Tapes.new(self)

      # @return [House]
      def house = House.new(self)

      # @return [Shelf]
      def shelf = Shelf.new(self)

      # @return [Plans]
      def plans = Plans.new(self)

      # @return [Bench]
      def bench = Bench.new(self)

      # @return [CuttingWishes]
      def cutting_wishes = CuttingWishes.new(self)

      # @return [CameIn]
      def came_in = CameIn.new(self)

      # @return [Bills]
      def bills = Bills.new(self)

      # @return [Customers]
      def customers = Customers.new(self)

      # @return [CustomerLinks]
      def customer_links = CustomerLinks.new(self)

      # @return [JobRest]
      def job_rest = JobRest.new(self)

      # @return [Letters]
      def letters = Letters.new(self)

      # @return [Supply]
      def supply = Supply.new(self)

      # @return [Orders]
      def orders = Orders.new(self)

      # @return [Credits]
      def credits = Credits.new(self)

      # @return [Meters]
      def meters = Meters.new(self)

      # @return [MeterReadings]
      def meter_readings = MeterReadings.new(self)

      # @return [Prints]
      def prints = Prints.new(self)

      # @return [Slips]
      def slips = Slips.new(self)

      # @return [Diary]
      def diary = Diary.new(self)

      # @return [Logbook]
      def logbook = Logbook.new(self)

      # @return [Today]
      def today = Today.new(self)

      # @return [People]
      def people = People.new(self)

      # @return [Errands]
      def errands = Errands.new(self)

      # @return [KeptPlans]
      def kept_plans = KeptPlans.new(self)

      # @return [Invitations]
      def invitations = Invitations.new(self)

      # @return [Once]
      def once = Once.new(self)

      # @param table [Symbol]
      # @return [Sequel::Dataset] this workroom's rows alone
      def rows(table) = Store.db[table].where(Sequel[table][:workroom_id] => id)

      # @return [Hash] the row made
      def insert(table, values) = Store.guard { rows(table).returning.insert(values.merge(workroom_id: id)).first }

      # Changes a row that is as it was read.
      # @param table [Symbol] whose rows have a version
      # @param version [Integer] as it was read
      # @raise [Stale, Missing]
      def change(table, id, version:, **values)
        Store.guard do
          one = rows(table).where(id: id)
          changed = one.where(version: version).update(**values, version: version + 1)
          raise one.empty? ? Missing : Stale, "#{table} #{id}" unless changed == 1
        end
      end

      # Changes a row that has no version and is as it was read.
      # @param row [Sequel::Dataset] that one alone
      # @param was [Hash] what was read of it
      # @raise [Stale, Missing]
      def replace(row, was, **values)
        Store.guard do
          next if row.where(was).update(values) == 1

          raise row.empty? ? Missing : Stale, row.first_source.to_s
        end
      end

      # @yield one transaction
      def transaction(&block) = Store.guard { Store.db.transaction(&block) }

      # How often PostgreSQL may end the same, so that somebody else goes on.
      MOST_TRIES = 4
      private_constant :MOST_TRIES

      # At what several hands hold at once: where two wait for each other, PostgreSQL ends one of them, and here that is
      # done again, also inside another transaction.
      # @yield one transaction, which begins anew; what it does lies in the database alone
      # @raise [Busy] where that never ends
      def in_turn(&block)
        tries = 0
        begin
          Store.guard { Store.db.transaction(savepoint: true, &block) }
        rescue Busy
          ((tries += 1) < MOST_TRIES) ? retry : raise
        end
      end
    end
  end
end
