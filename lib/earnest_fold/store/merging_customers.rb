# frozen_string_literal: true

module EarnestFold
  module Store
    # Two customers who are one: jobs, houses and what was allowed go over to the one who stays; what is known of the
    # other and says something else is kept in the notes.
    class MergingCustomers
      ONE_LINE = %i[mail phone address].freeze

      # @param workroom [Workroom]
      def initialize(workroom)
        @workroom = workroom
      end

      # @param stays [Integer]
      # @param goes [Integer]
      # @raise [Missing] where either isn't there, or both are the same
      def merge(stays, goes)
        raise Missing, "twice the same customer" if stays == goes

        @workroom.transaction do
          # Always in the order of their numbers: two who merge crosswise wait for each other's end.
          found = rows.where(id: [stays, goes]).order(:id).for_update.all.to_h { |row| [row[:id], row] }
          kept, gone = found.fetch(stays) { missing(stays) }, found.fetch(goes) { missing(goes) }
          rows.where(id: stays).update(**joined(kept, gone), version: kept[:version] + 1)
          go_over(stays, goes)
          rows.where(id: goes).delete
        end
      end

      private

      def rows = @workroom.rows(:customers)

      def missing(id) = raise(Missing, "no customer #{id}")

      # A house takes its jobs along.
      def go_over(stays, goes)
        %i[customer_houses customer_consents].each do |table|
          @workroom.rows(table).where(customer_id: goes).update(customer_id: stays)
        end
        @workroom.rows(:jobs).where(customer_id: goes).update(customer_id: stays)
      end

      def joined(kept, gone)
        filled = ONE_LINE.to_h { |name| [name, kept[name].empty? ? gone[name] : kept[name]] }
        differs = [:name, *ONE_LINE].filter_map do |name|
          gone[name] unless gone[name].empty? || gone[name] == (filled[name] || kept[name])
        end
        notes = [kept[:notes], gone[:notes], differs.join(" · ").tr("\n", ",")].reject(&:empty?).uniq
        {**filled, notes: notes.join("\n")[0, Customers::FIELDS.fetch(:notes).kind.longest]}
      end
    end
  end
end
