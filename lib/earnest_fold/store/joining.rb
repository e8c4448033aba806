# frozen_string_literal: true

module EarnestFold
  module Store
    # Keys that are somebody's: whose an invitation is ({Invitations}), a calendar's address, or a distance meter,
    # whatever workroom made it.
    module Joining
      # An invitation as it was found: whose, and by whom.
      Invitation = Reckoning::Value.define(:id, :workroom_id, :person_id, :name, :role, :account_id, :by)

      module_function

      # @return [Invitation, nil] nil where it was used, is over, or never was
      def find(key)
        row = Store.guard { good(key).select(*columns).first }
        row && Invitation.new(**row)
      end

      # @param key [String] of a calendar's address
      # @return [Array(Workroom, String), nil] whose workroom's it is, and their role in it
      def calendar(key)
        row = Store.guard do
          Store.db[:people].where(calendar_print: Invitations.print_of(key)).select(:workroom_id, :role).first
        end
        row && [Workroom.new(row[:workroom_id]), row[:role]]
      end

      # @param key [String] a distance meter's
      # @return [Array(Workroom, Meters::Meter), nil] whose workroom's it is; nil where there is none such
      def meter(key)
        row = Store.guard { Store.db[:meters].where(print: Invitations.print_of(key)).first }
        row && [Workroom.new(row[:workroom_id]), Meters.record(row)]
      end

      # Uses it up.
      # @yieldparam invitation [Invitation]
      # @yieldreturn [Integer] the account
      # @raise [Missing] where it was used meanwhile
      def use(key)
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
      def good(key) =
        Store.db[:invitations]
          .join(:people, workroom_id: :workroom_id, id: Sequel[:invitations][:person_id])
          .where(print: Invitations.print_of(key), used_at: nil)
          .where { ends_at > Sequel::CURRENT_TIMESTAMP }

      # @api private
      def columns = [
        Sequel[:invitations][:id], Sequel[:invitations][:workroom_id], :person_id, :name, :role, :account_id, :by
      ]
    end
  end
end
