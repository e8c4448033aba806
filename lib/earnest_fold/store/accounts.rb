# frozen_string_literal: true

require "digest"

module EarnestFold
  module Store
    # Who may come in, whatever workroom they belong to: accounts, the devices on which they are signed in, and which
    # person of which workroom an account is.
    module Accounts
      # A device that nobody used for so long, or that is signed in for so long, signs in again. Days.
      IDLE, LONGEST = 14, 90
      # So often, in minutes, it is noted that a device is used.
      NOTED = 10
      # The person that somebody signed in is: `second` where the account has a second factor.
      Who = Reckoning::Value.define(:account_id, :workroom_id, :person_id, :name, :role, :books, :second)
      # Where somebody is signed in: `print` is what is kept of the session's key.
      Device = Reckoning::Value.define(:print, :device, :since, :last_use)

      WHO = <<~SQL
        SELECT p.account_id, p.workroom_id, p.id AS person_id, p.name, p.role, p.books,
            (EXISTS (SELECT 1 FROM account_otp_keys o WHERE o.id = s.account_id)
              OR EXISTS (SELECT 1 FROM account_webauthn_keys w WHERE w.account_id = s.account_id)) AS second,
            s.last_use < now() - interval '#{NOTED} minutes' AS to_note
          FROM account_active_session_keys s JOIN people p ON p.account_id = s.account_id
          WHERE s.account_id = :account AND s.session_id = :print AND s.last_use > now() - interval '#{IDLE} days'
            AND s.created_at > now() - interval '#{LONGEST} days'
          ORDER BY p.workroom_id = :workroom DESC, p.workroom_id LIMIT 1
      SQL
      private_constant :WHO

      module_function

      # @param account [Integer]
      # @param print [String] of the session's key
      # @param workroom [Integer] the one last looked at, where they belong to several
      # @return [Who, nil] nil where that session is over, or they belong nowhere
      def who(account, print, workroom)
        Store.guard do
          row = Store.prepared(:who, account: account, print: print, workroom: workroom) do
            Store.db[WHO, {account: :$account, print: :$print, workroom: :$workroom}]
          end.first
          next unless row

          devices(account).where(session_id: print).update(last_use: Sequel::CURRENT_TIMESTAMP) if row[:to_note]
          Who.new(**row.slice(*Who.members))
        end
      end

      # @return [Array<Device>] the one used last first
      def devices_of(account)
        Store.guard do
          devices(account).reverse(:last_use).map do |row|
            Device.new(print: row[:session_id], device: row[:device], since: row[:created_at],
              last_use: row[:last_use])
          end
        end
      end

      # @param device [String] what it says of itself
      def name_device(account, print, device) =
        Store.guard { devices(account).where(session_id: print).update(device: device) }

      # @param print [String] of the device's session
      # @return [Integer] 0 where it was ended before
      def end_device(account, print) = Store.guard { devices(account).where(session_id: print).delete }

      # @return [Integer, nil]
      def find(login) = Store.guard { Store.db[:accounts].where(named(login)).get(:id) }

      # @return [String, nil] what they sign in by
      def login(account) = Store.guard { Store.db[:accounts].where(id: account).get(:login) }

      # @return [Integer]
      # @raise [Taken] where that address is somebody's already
      def create(login)
        Store.guard { Store.db[:accounts].insert(login: login) }
      rescue Sequel::UniqueConstraintViolation
        raise Taken, "an account of that address"
      end

      # @return [Array<Array(Integer, String)>] the workrooms that they belong to, by name
      def workrooms_of(account)
        Store.guard do
          Store.db[:people].join(:workrooms, id: :workroom_id).where(account_id: account)
            .order(Sequel[:workrooms][:name]).select_map([Sequel[:workrooms][:id], Sequel[:workrooms][:name]])
        end
      end

      # @api private
      def devices(account) = Store.db[:account_active_session_keys].where(account_id: account)

      # @api private
      def named(login) = {Sequel.function(:lower, :login) => login.to_s.strip.downcase}
    end
  end
end
