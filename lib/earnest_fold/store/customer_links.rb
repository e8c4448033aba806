# frozen_string_literal: true

require "securerandom"

module EarnestFold
  module Store
    # Links that show a customer one paper, a quote, an order or a slip, to be answered: for some days, until they are
    # taken back or a newer one is made. Only their print is kept.
    class CustomerLinks
      DAYS = 30
      # One that is still good.
      Link = Reckoning::Value.define(:id, :paper_id, :slip_id, :ends_at, :by, :at)

      # @param workroom [Workroom]
      def initialize(workroom)
        @workroom = workroom
      end

      # @param paper [Integer, nil]
      # @param slip [Integer, nil]
      # @return [String] the key, told once; an earlier one of the same paper is worth nothing from now on
      # @raise [Missing] where there is no such paper, or one that nobody answers
      def make(paper: nil, slip: nil)
        key, of = SecureRandom.urlsafe_base64(32), {paper_id: paper, slip_id: slip}
        @workroom.transaction do
          raise Missing, "nothing to be shown" if answerable(paper, slip).empty?

          end_of(of)
          @workroom.insert(
            :customer_links,
            **of,
            print: Invitations.print_of(key),
            by: @workroom.by,
            ends_at: Sequel.lit("now() + interval '#{DAYS} days'")
          )
        end
        key
      end

      # @param paper [Integer, nil]
      # @param slip [Integer, nil]
      def take_back(paper: nil, slip: nil) = Store.guard { end_of(paper_id: paper, slip_id: slip) }

      # @param papers [Array<Integer>]
      # @return [Hash{Integer => Link}] the good ones, by paper
      def of_papers(papers) = good(:paper_id, papers)

      # @param slips [Array<Integer>]
      # @return [Hash{Integer => Link}] the good ones, by slip
      def of_slips(slips) = good(:slip_id, slips)

      private

      def rows = @workroom.rows(:customer_links)

      def answerable(paper, slip)
        return @workroom.rows(:slips).where(id: slip) unless paper

        @workroom.rows(:papers).where(id: paper).exclude(kind: "invoice")
      end

      def end_of(of) = rows.where(of).where { ends_at > Sequel.function(:now) }.update(ends_at: Sequel.function(:now))

      def good(column, ids)
        return {} if ids.empty?

        Store.guard do
          rows.where(column => ids).where { ends_at > Sequel.function(:now) }.select(*Link.members)
            .to_h { |row| [row[column], Link.new(**row)] }
        end
      end
    end
  end
end
