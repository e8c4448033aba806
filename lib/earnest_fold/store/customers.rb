# frozen_string_literal: true

module EarnestFold
  module Store
    # For whom the workroom works: how they are reached, the houses that curtains are made for, and what they allowed.
    class Customers
      MOST_LISTED, MOST_NAMED, MOST_DOUBLES, MOST_HOUSES = 50, 300, 8, 40
      TEXTS = %i[name mail phone address notes].freeze
      OF_HOUSE = %i[name address notes].freeze
      # What may be asked of a customer beyond the work that they ordered.
      CONSENTS = %w[news pictures].freeze
      D = Reckoning::Declare
      # How long each may be, of a customer and of a house of theirs.
      FIELDS = Reckoning::Fields.new(
        name: D.text(Reckoning::Fields::REQUIRED, least: 1, most: 80), mail: D.text("", most: 120),
        phone: D.text("", most: 60), address: D.text("", most: 300), notes: D.text("", most: 2000)
      )
      HOUSE_FIELDS = Reckoning::Fields.new(
        name: D.text(Reckoning::Fields::REQUIRED, least: 1, most: 80), address: D.text("", most: 300),
        notes: D.text("", most: 500)
      )
      Customer = Reckoning::Value.define(:id, *TEXTS, :version) do
        # @return [String] as a paper is addressed: name and address, each line once
        def addressed = [name, *address.lines.map(&:strip)].reject(&:empty?).uniq.join("\n")
      end
      House = Reckoning::Value.define(:id, *OF_HOUSE)
      Consent = Reckoning::Value.define(:sort, :given, :on, :by)
      # One of a list: where their houses are called what, and of how many jobs.
      InList = Reckoning::Value.define(:customer, :houses, :jobs)
      # Where a job is hung, and who is rung first.
      Whereabouts = Reckoning::Value.define(:name, :phone, :house, :address)
      # A job of theirs, as a list tells of it.
      OfJob = Reckoning::Value.define(:id, :title, :house_id, :archived, :invoiced, :updated_at)

      # @param workroom [Workroom]
      def initialize(workroom)
        @workroom = workroom
      end

      # @param words [String] each of them somewhere in what is known of them
      # @param page [Integer] from 1, MOST_LISTED to a page
      # @return [Array<InList>] by name
      def list(words: "", page: 1)
        Store.guard do
          of_page = found(words).order(*BY_NAME).limit(MOST_LISTED, (page - 1) * MOST_LISTED).all
          ids = of_page.map { |row| row[:id] }
          houses, jobs = houses_of(ids), @workroom.rows(:jobs).where(customer_id: ids).group_and_count(:customer_id)
          counts = jobs.to_h { |row| row.values_at(:customer_id, :count) }
          of_page.map do |row|
            InList.new(customer: record(row), houses: houses.fetch(row[:id], []), jobs: counts.fetch(row[:id], 0))
          end
        end
      end

      # @return [Array<String>] names to choose from, in order
      def names
        Store.guard do
          named = Store.prepared(:customers_names, workroom: @workroom.id) do
            Store.db[:customers].where(workroom_id: :$workroom).order(*BY_NAME).limit(MOST_NAMED).select(:name)
          end
          named.map { |row| row[:name] }.uniq
        end
      end

      # @return [Customer]
      # @raise [Missing]
      def find(id) = Store.guard { record(rows.where(id: id).first || raise(Missing, "no customer #{id}")) }

      # @param name [String]
      # @return [Array<Customer>] those who are called just so, great letters or small
      def named(name) =
        Store.guard do
          rows.where(Sequel.function(:lower, :name) => name.downcase).order(*BY_NAME).map { |row| record(row) }
        end

      # @param values [Hash{Symbol => String}] of TEXTS
      # @return [Integer] their id
      def add(values) = @workroom.insert(:customers, **values.slice(*TEXTS), by: @workroom.by)[:id]

      # @param version [Integer] as it was read
      # @raise [Stale, Missing]
      def change(id, values, version:) = @workroom.change(:customers, id, version: version, **values.slice(*TEXTS))

      # @return [Array<House>] in the order in which they came
      def houses(id) = Store.guard { houses_of([id]).fetch(id, []) }

      # @raise [Missing, Full]
      def add_house(id, **values)
        find(id)
        raise Full, "houses of #{id}" if houses(id).size >= MOST_HOUSES

        @workroom.insert(:customer_houses, customer_id: id, **values.slice(*OF_HOUSE))[:id]
      end

      # @param was [House] as it was read
      # @raise [Missing, Stale]
      def change_house(id, was:, **values) =
        @workroom.replace(of_house(id, was.id), was.to_h.slice(*OF_HOUSE), **values.slice(*OF_HOUSE))

      # Jobs there stay their jobs.
      # @raise [Missing]
      def remove_house(id, house) =
        @workroom.transaction do
          @workroom.rows(:jobs).where(customer_id: id, house_id: house).update(house_id: nil)
          of_house(id, house).delete == 1 or raise Missing, "no house #{house}"
        end

      # @return [Array<Consent>] what was said last of each that was ever asked
      def consents(id) =
        Store.guard do
          @workroom.rows(:customer_consents).where(customer_id: id).order(:sort, Sequel.desc(:id)).distinct(:sort)
            .map { |row| Consent.new(**row.slice(*Consent.members)) }
        end

      # @param sort [String] of CONSENTS
      # @param on [Date]
      # @raise [Missing]
      def consent(id, sort, given, on)
        find(id)
        @workroom.insert(:customer_consents, customer_id: id, sort: sort, given: given, on: on, by: @workroom.by)
      end

      # @return [Array<OfJob>] their jobs, the last changed first
      def jobs(id) =
        Store.guard do
          @workroom.rows(:jobs).where(customer_id: id).order(Sequel.desc(:updated_at), Sequel.desc(:id))
            .select(*OfJob.members).map { |row| OfJob.new(**row) }
        end

      # @param jobs [Array<Integer>]
      # @return [Hash{Integer => Whereabouts}] of those of which it is said whose they are
      def of_jobs(jobs)
        return {} if jobs.empty?

        Store.guard do
          @workroom.rows(:jobs).where(Sequel[:jobs][:id] => jobs)
            .join(:customers, workroom_id: :workroom_id, id: :customer_id)
            .left_join(:customer_houses, workroom_id: Sequel[:jobs][:workroom_id], id: Sequel[:jobs][:house_id])
            .select_map([Sequel[:jobs][:id], Sequel[:customers][:name], :phone, Sequel[:customer_houses][:name],
              Sequel[:customer_houses][:address], Sequel[:customers][:address]])
            .to_h { |id, name, phone, house, there, theirs| [id, whereabouts(name, phone, house, there, theirs)] }
        end
      end

      # @param customer [Customer]
      # @return [Array<Customer>] others who may be the same: called so, or reached so
      def doubles(customer)
        alike = [Sequel.function(:lower, :name) =~ customer.name.downcase]
        alike << (Sequel.function(:lower, :mail) =~ customer.mail.downcase) unless customer.mail.empty?
        digits = customer.phone.gsub(/\D/, "")
        alike << (Sequel.function(:regexp_replace, :phone, "\\D", "", "g") =~ digits) if digits.size > 4
        Store.guard do
          rows.where(alike.reduce(:|)).exclude(id: customer.id).order(*BY_NAME).limit(MOST_DOUBLES)
            .map { |row| record(row) }
        end
      end

      private

      BY_NAME = [Sequel.function(:lower, :name), :id].freeze
      private_constant :BY_NAME

      def rows = @workroom.rows(:customers)

      def of_house(id, house) = @workroom.rows(:customer_houses).where(customer_id: id, id: house)

      def houses_of(ids)
        @workroom.rows(:customer_houses).where(customer_id: ids).order(:id).all
          .group_by { |row| row[:customer_id] }
          .transform_values { |all| all.map { |row| House.new(**row.slice(*House.members)) } }
      end

      # A telephone's figures may be parted otherwise than they were written down.
      def found(words)
        digits = words.gsub(/[\s\/().+-]/, "")
        return having(rows, digits) if digits.match?(/\A\d{4,}\z/)

        Records.each_word(words).reduce(rows) { |those, word| having(those, word) }
      end

      def having(those, word)
        part = "%#{those.escape_like(word)}%"
        at_house = @workroom.rows(:customer_houses).where(Sequel.like(:words, part)).select(:customer_id)
        those.where(Sequel.|(Sequel.like(Sequel[:customers][:words], part), {Sequel[:customers][:id] => at_house}))
      end

      # A house without an address of its own is where the customer is.
      def whereabouts(name, phone, house, there, theirs) = Whereabouts.new(
        name: name, phone: phone, house: house.to_s, address: there.to_s.empty? ? theirs : there
      )

      def record(row) = Customer.new(**row.slice(*Customer.members))
    end
  end
end
