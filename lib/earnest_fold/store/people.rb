# frozen_string_literal: true

require "securerandom"

module EarnestFold
  module Store
    # Who works here, by name: a change says whose it was. What they may goes by their role; `books` lets a maker see
    # what money there is.
    class People
      ROLES = [OWNER = "owner", MAKER = "maker", FITTER = "fitter", APPRENTICE = "apprentice"].freeze
      D = Reckoning::Declare
      private_constant :D
      FIELDS = Reckoning::Fields.new(
        name: D.text(Reckoning::Fields::REQUIRED, least: 1, most: 40), role: D.choice(ROLES, said: "roles"),
        books: D.flag(false)
      )
      # `login` is what they sign in by (nil: they don't), `invited` whether an invitation of theirs is still good.
      Person = Reckoning::Value.define(:id, :name, :role, :books, :account_id, :login, :invited)

      def initialize(workroom)
        @workroom = workroom
      end

      # @return [Array<String>] names in order
      def names = Store.guard { rows.order(Sequel.function(:lower, :name)).select_map(:name) }

      # @return [Array<Person>] by name
      def all
        Store.guard do
          invited = @workroom.rows(:invitations).where(used_at: nil).where { ends_at > Sequel::CURRENT_TIMESTAMP }
            .select_map(:person_id)
          rows.left_join(:accounts, id: :account_id).order(Sequel.function(:lower, :name))
            .select(Sequel[:people].*, :login).map { |row| person(row, invited) }
        end
      end

      # @return [Person]
      # @raise [Missing]
      def find(id) = all.find { |one| one.id == id } || raise(Missing, "no person #{id}")

      # @param name [String] kept once, however often it is said
      # @return [Integer] their id
      def add(name, role: MAKER, books: false)
        Store.guard do
          values = {workroom_id: @workroom.id, name: name, role: role, books: books}
          rows.insert_conflict.returning(:id).insert(values).first&.fetch(:id) || rows.where(name: name).get(:id)
        end
      end

      # What they did stays in the name that they did it in.
      # @param was [Person] as they were read
      # @param values [Hash{Symbol => Object}] of FIELDS
      # @raise [OutOfTurn] where nobody would be left who may everything
      # @raise [Taken] where another is called so
      # @raise [Missing, Stale]
      def change(was, **values)
        locked do
          raise OutOfTurn, "the last owner" if values.fetch(:role, OWNER) != OWNER && last_owner?(was.id)

          @workroom.replace(rows.where(id: was.id), was.to_h.slice(*FIELDS.names), **values.slice(*FIELDS.names))
        end
      rescue Sequel::UniqueConstraintViolation
        raise Taken, "a person of that name"
      end

      # Their name stands on with what they did; they come in no more.
      # @raise [OutOfTurn] where nobody would be left who may everything
      def remove(id)
        locked do
          raise OutOfTurn, "the last owner" if last_owner?(id)

          rows.where(id: id).delete == 1 or raise Missing, "no person #{id}"
        end
      end

      # @return [Boolean] whether somebody who may everything can sign in by a password
      def owned? =
        Store.guard { !rows.where(role: OWNER, account_id: Store.db[:account_password_hashes].select(:id)).empty? }

      # @param name [String]
      # @raise [Taken] where another is called so
      def rename(id, name)
        Store.guard { rows.where(id: id).update(name: name) }
      rescue Sequel::UniqueConstraintViolation
        raise Taken, "a person of that name"
      end

      # @param account [Integer]
      # @raise [Taken] where that account is another person here
      def belongs(id, account)
        Store.guard { rows.where(id: id).update(account_id: account) }
      rescue Sequel::UniqueConstraintViolation
        raise Taken, "a person with that account"
      end

      # @return [String] the key of their calendar's address, told once; an earlier one is worth nothing from now on
      def give_calendar(id)
        key = SecureRandom.urlsafe_base64(32)
        Store.guard { rows.where(id: id).update(calendar_print: Invitations.print_of(key)) }
        key
      end

      # The address of somebody's calendar opens nothing from now on.
      def take_calendar(id) = Store.guard { rows.where(id: id).update(calendar_print: nil) }

      # @return [Boolean] whether their calendar has an address
      def calendar?(id) = Store.guard { !rows.where(id: id).exclude(calendar_print: nil).empty? }

      # @param person [Integer]
      # @return [Array<Integer>] jobs that are lent to them
      def lent(person) = Store.guard { @workroom.rows(:lent_jobs).where(person_id: person).select_map(:job_id) }

      # @param jobs [Array<Integer>] that are lent to them too from now on
      def lend(person, jobs)
        lent = jobs.map { |job| {workroom_id: @workroom.id, person_id: person, job_id: job} }
        Store.guard { @workroom.rows(:lent_jobs).insert_conflict.multi_insert(lent) }
      end

      # @param jobs [Array<Integer>] that are lent to them no more
      def take_back(person, jobs) =
        Store.guard { @workroom.rows(:lent_jobs).where(person_id: person, job_id: jobs).delete }

      private

      def rows = @workroom.rows(:people)

      # One at a time: two owners who step back at once would leave none.
      def locked
        @workroom.transaction do
          Store.db[:workrooms].where(id: @workroom.id).for_no_key_update.all
          yield
        end
      end

      def last_owner?(id)
        owners = rows.where(role: OWNER).exclude(account_id: nil).select_map(:id)
        owners == [id]
      end

      def person(row, invited) = Person.new(
        **row.slice(:id, :name, :role, :books, :account_id, :login),
        invited: invited.include?(row[:id])
      )
    end
  end
end
