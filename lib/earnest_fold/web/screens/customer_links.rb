# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # The links by which customers see what went out to them: until when each is good, and the one that was made just
      # now, told once.
      class CustomerLinks
        HERE = Networks.new("127.0.0.0/8,::1")
        private_constant :HERE
        # `day` until which it is good; `address` where it is told; `here_alone` where it opens on this machine alone.
        Told = Reckoning::Value.define(:day, :address, :here_alone)

        # @param good [Hash{Integer => Store::CustomerLinks::Link}] by paper or slip
        # @param told [Array(Integer, String), nil] of which one a link was made just now, and its key
        # @param at [String] where the application answers
        def initialize(good, told:, at:)
          @good, @told, @at = good, told, at
        end

        # @param id [Integer] of a paper or slip
        # @return [Told, nil] nil where none is good
        def of(id)
          link = @good[id] or return
          key = @told&.last if @told&.first == id
          Told.new(
            day: Words.date(link.ends_at.to_date, :dated),
            address: key && "#{@at}#{Paths.for_customer(key)}",
            here_alone: here_alone?
          )
        end

        private

        def here_alone?
          host = URI(@at).host.to_s.delete("[]")
          host == "localhost" || HERE.include?(host)
        end
      end
    end
  end
end
