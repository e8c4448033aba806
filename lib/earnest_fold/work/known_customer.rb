# frozen_string_literal: true

module EarnestFold
  module Work
    # A customer with all that is known of them: their houses, what they allowed, their jobs, and what was made there.
    class KnownCustomer
      # Of so many jobs, the last, what was made is told.
      MOST_JOBS = 30
      # A work of theirs: `kind` is its heading's, or what is done to their own curtain; of `cloth` and from which
      # batches.
      Made = Reckoning::Value.define(:id, :sort, :place, :kind, :cloth, :batches)
      # A job with what was made in it; `house` is one of theirs, nil where nobody said.
      OfJob = Reckoning::Value.define(:line, :house, :made)

      # @return [Store::Customers::Customer]
      attr_reader :customer

      # @param workroom [Store::Workroom]
      # @param id [Integer]
      # @raise [Store::Missing]
      def initialize(workroom, id)
        @workroom, @customer = workroom, workroom.customers.find(id)
      end

      # @return [Array<Store::Customers::House>]
      def houses = @houses ||= @workroom.customers.houses(customer.id)

      # @return [Array<Store::Customers::Consent>]
      def consents = @consents ||= @workroom.customers.consents(customer.id)

      # @return [Array<Store::Customers::Customer>]
      def doubles = @doubles ||= @workroom.customers.doubles(customer)

      # @return [Store::Forgetting::Outlook]
      def forgetting = Store::Forgetting.new(@workroom).outlook(customer.id)

      # @return [Array<OfJob>] the last changed first
      def jobs = @jobs ||= lines.map { |line| OfJob.new(line: line, house: house(line), made: made(line)) }

      # @return [Hash] all that is known of them, as plain values, but for what each job keeps by itself
      def known = {
        "customer" => plain(customer, Store::Customers::TEXTS),
        "houses" => houses.map { |house| plain(house, Store::Customers::OF_HOUSE) },
        "consents" => consents.map do |one|
          {"sort" => one.sort, "given" => one.given, "on" => one.on.iso8601, "by" => one.by}
        end
      }

      private

      def lines = @lines ||= @workroom.customers.jobs(customer.id)

      def house(line) = houses.find { |one| one.id == line.house_id }

      def plain(record, names) = names.to_h { |name| [name.to_s, record.public_send(name)] }

      def records = @records ||= @workroom.jobs.all(lines.first(MOST_JOBS).map(&:id)).to_h { |job| [job.id, job] }

      def batches = @batches ||= @workroom.logbook.batches(records.values.flat_map(&:treatments).map(&:id))

      def cloths = @cloths ||= @workroom.cloths.all.to_h { |cloth| [cloth.id.to_s, cloth.spec["name"]] }

      def made(line)
        job = records[line.id] or return []
        job.windows.flat_map { |window| window.treatments.reject(&:put_away).map { |record| one(window, record) } }
      end

      def one(window, record)
        spec, altered = record.spec, record.sort == Station::ALTERED
        Made.new(
          id: record.id,
          sort: record.sort,
          place: [window.room, window.name, spec["name"]].reject { |part| part.to_s.empty? }.uniq.join(", "),
          kind: altered ? spec["kind"] : spec.dig("heading", "kind"),
          cloth: cloths[spec["face"]],
          batches: batches.fetch(record.id, [])
        )
      end
    end
  end
end
