# frozen_string_literal: true

module EarnestFold
  module Documents
    # A ticket for every cut, to be pinned to it as it comes off: whose it is, where it hangs, its length, and which
    # end is the top.
    class TicketsPdf
      # One ticket, in words.
      Ticket = Reckoning::Value.define(:number, :job, :window, :name, :cloth, :piece, :length, :from_to) do
        # @return [Array<String>] from the largest to the smallest
        def lines
          [
            "#{number}  #{window}",
            name,
            Words.say("tickets.length", length: length),
            "#{cloth} · #{piece} · #{from_to}",
            job,
            Words.say("tickets.top")
          ]
        end
      end
      ACROSS, DOWN = 2, 5

      # @param title [String]
      # @param tickets [Array<Ticket>]
      def initialize(title, tickets)
        @title, @tickets = title, tickets
      end

      # @return [String] the file
      #
      #   Documents::TicketsPdf.new("Cuts", []).render[0, 5] # => "%PDF-"
      def render
        paper = Paper.new(@title)
        paper.labels(@tickets.map(&:lines), across: ACROSS, down: DOWN).render
      end
    end
  end
end
