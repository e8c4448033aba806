# frozen_string_literal: true

require "digest"
require "securerandom"

module EarnestFold
  module Store
    # Links by which people come in for the first time, or set a new password. Whoever has the link may: it is good
    # once and for some days, and only its print is kept.
    class Invitations
      DAYS = 7
      # An invitation as it was found: whose, and by whom.
      Invitation = Reckoning::Value.define(:id, :workroom_id, :person_id, :name, :role, :account_id, :by)

      # @param workroom [Workroom]
      def initialize(workroom)
        @workroom = workroom
      end

      # @param person [Integer]
      # @return [String] the key, told once; any earlier one of theirs is worth nothing from now on
      def make(person)
        key = SecureRandom.urlsafe_base64(32)
        @workroom.transaction do
          @workroom.rows(:invitations).where(person_id: person, used_at: nil).delete
          @workroom.insert(
            :invitations,
            person_id: person,
            print: Invitations.print_of(key),
            by: @workroom.by,
            ends_at: Sequel.lit("now() + interval '#{DAYS} days'")
          )
        end
        key
      end

      # @return [Invitation, nil] nil where it was used, is over, or never was
      def self.find(key)
        row = Store.guard { good(key).select(*columns).first }
        row && Invitation.new(**row)
      end

      # Uses it up.
      # @yieldparam invitation [Invitation]
      # @yieldreturn [Integer] the account
      # @raise [Missing] where it was used meanwhile
      def self.use(key)
        Store.guard do
          Store.db.transaction(savepoint: true) do
            row = good(key).select(*columns).for_update.first or raise Missing, "no such invitation"
            invitation = Invitation.new(**row)
            account = yield invitation
            workroom = Workroom.new(invitation.workroom_id)
            workroom.people.belongs(invitation.person_id, account)
            workroom.rows(:invitations).where(id: invitation.id).update(used_at: Sequel::CURRENT_TIMESTAMP)
            account
          end
        end
      end

      # @api private
      def self.print_of(key) = Digest::SHA256.hexdigest(key.to_s)

      # @api private
      def self.good(key) =
        Store.db[:invitations]
          .join(:people, workroom_id: :workroom_id, id: Sequel[:invitations][:person_id])
          .where(print: print_of(key), used_at: nil)
          .where { ends_at > Sequel::CURRENT_TIMESTAMP }

      # @api private
      def self.columns = [
        Sequel[:invitations][:id], Sequel[:invitations][:workroom_id], :person_id, :name, :role, :account_id, :by
      ]
    end
  end
end
