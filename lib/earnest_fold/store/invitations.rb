# frozen_string_literal: true

require "digest"
require "securerandom"

module EarnestFold
  module Store
    # Links by which people come in for the first time, or set a new password. Whoever has the link may: it is good
    # once and for some days, and only its print is kept.
    class Invitations
      DAYS = 7

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

      # @api private
      def self.print_of(key) = Digest::SHA256.hexdigest(key.to_s)
    end
  end
end
