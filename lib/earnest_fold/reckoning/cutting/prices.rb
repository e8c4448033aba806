# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Cutting
      # A price for each kind of cut, such that pieces cut each for its own gain would use as much cloth as can be. Whatever the
      # prices are, no plan uses less than all cuts are worth less what the pieces gain (Lagrange's bound); better prices give a
      # better bound, found step by step: what is cut too seldom gets dearer, what is cut too often cheaper.
      class Prices
        STEPS = 300
        # After so many steps without a better bound the aim is halved.
        PATIENCE = 8

        # @return [Array<Integer>] by kind
        attr_reader :prices
        # @return [Integer] no plan uses less
        attr_reader :bound

        # @param pieces [Array<Places>]
        # @param counts [Array<Integer>] of each kind
        # @param prices [Array<Integer>] of each kind, to begin with
        # @param steps [Integer]
        def initialize(pieces, counts, prices, steps: STEPS)
          @pieces, @counts = pieces, counts
          @prices = @bound = nil
          climb(prices, steps)
        end

        private

        # Each step aims a little above the best bound so far; where the aim isn't come nearer to, it is lowered.
        def climb(prices, steps)
          above, waited = prices.zip(@counts).sum { |price, count| price * count } / 20, 0
          steps.times do
            bound, cut = at(prices)
            better = @bound.nil? || bound > @bound
            waited = better ? 0 : waited + 1
            @bound, @prices = bound, prices if better
            above, waited, prices, (bound, cut) = above * 2 / 3, 0, @prices, at(@prices) if waited > PATIENCE
            apart = @counts.zip(cut).map { |wanted, made| wanted - made }
            square = apart.sum { |one| one * one }
            break if square.zero? || above.zero?

            aim = @bound + above - bound
            prices = prices.zip(apart).map { |price, one| price + one * aim / square }
          end
        end

        # @return [Array(Integer, Array<Integer>)] the bound at these prices, and how often each kind would be cut
        def at(prices)
          cut = Array.new(@counts.size, 0)
          gained = @pieces.sum { |places| gain(places, prices, cut) }
          [prices.zip(@counts).sum { |price, count| price * count } + gained, cut]
        end

        # What one piece gains at best (0 where it is left alone), its cuts told in `cut`.
        def gain(places, prices, cut)
          at, from_here = places.worth(prices)
          best = from_here.first
          return 0 if best.nil? || best >= 0

          follow(places, at, from_here, cut)
          best
        end

        def follow(places, at, from_here, cut)
          place = 0
          loop do
            place += 1 while at[place] != from_here[place]
            cut[places.kinds[place]] += 1
            going = from_here[places.following[place]]
            return if going.nil? || going >= places.spent[place]

            place = places.following[place]
          end
        end
      end
    end
  end
end
