# frozen_string_literal: true

require "securerandom"

module EarnestFold
  module Store
    # Distance meters, each somebody's own: what it reads waits for that person. Whoever has its key may send for it.
    class Meters
      # So many one person has.
      MOST = 10
      Meter = Reckoning::Value.define(:id, :person_id, :name, :heard_at, :at)

      # @param workroom [Workroom]
      def initialize(workroom)
        @workroom = workroom
      end

      # @api private
      def self.record(row) = Meter.new(**row.slice(*Meter.members))

      # @param person [Integer] whose it is
      # @return [String] its key, told once
      # @raise [Full]
      def connect(person, name)
        key = SecureRandom.urlsafe_base64(24)
        @workroom.transaction do
          raise Full, "meters" unless of(person).size < MOST

          @workroom.insert(:meters, person_id: person, name: name, print: Invitations.print_of(key))
        end
        key
      end

      # @param person [Integer]
      # @return [Array<Meter>] theirs, in the order in which they came
      def of(person) = Store.guard { rows.where(person_id: person).order(:id).map { |row| Meters.record(row) } }

      # @return [Array<Array(Meter, String)>] everybody's, with whose each is
      def all =
        Store.guard do
          rows.join(:people, workroom_id: :workroom_id, id: Sequel[:meters][:person_id])
            .select(Sequel[:meters].*, Sequel[:people][:name].as(:whose)).order(Sequel[:meters][:id])
            .map { |row| [Meters.record(row), row[:whose]] }
        end

      # Its key is worth nothing from now on.
      # @param person [Integer]
      # @raise [Missing]
      def away(person, id) =
        Store.guard { rows.where(person_id: person, id: id).delete == 1 or raise Missing, "no meter #{id}" }

      private

      def rows = @workroom.rows(:meters)
    end
  end
end
