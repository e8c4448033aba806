# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Cutting
      module Patterned
        # A whole plan: how each piece that is used is cut, and what was chosen for each treatment.
        # @api private
        Found = Struct.new(:fillings, :wanted) do
          # @return [Integer] what is cut, and what is left uncut
          def cost = fillings.sum(&:cost) + wanted.cost
        end

        # Plans that come soon and prove nothing: laid by {Beam}, then bettered two pieces at a time.
        # @api private
        class Soon
          # How often one is laid, how much work there may be in bettering it, and how many fillings are tried each
          # time.
          TIMES = 2
          BETTERING = 2_000_000
          TRIED = 15

          # @param stock [Stock]
          # @param sharing [Sharing]
          # @param thumb [LongestFirst] what the rule of thumb does
          def initialize(stock, sharing, thumb)
            @stock, @sharing, @thumb, @times = stock, sharing, thumb, TIMES
          end

          # @return [Boolean] whether none was laid yet
          def unused? = @times == TIMES

          # The treatments shared out as the mixture has them, or as the rule of thumb does.
          # @param node [Node]
          # @param least [Integer] what no plan costs less than
          # @return [Found, nil] nil where none was found
          def plan(node, least)
            return if @times.zero?

            @times -= 1
            laid =
              [(node.wanted if node.mixture.fillings), @sharing.as(@thumb.shares)].compact
                .filter_map { |wanted| laid(wanted, node.mixture.prices) }
                .min_by(&:cost)
            (laid && node.mixture.fillings) ? bettered(node.mixture, laid, least) : laid
          end

          private

          def laid(wanted, prices) = @stock.roughly(wanted, prices)&.then { |fillings| Found.new(fillings, wanted) }

          # Two pieces at a time are cut afresh for what was cut from them, until that leads no further.
          def bettered(mixture, found, least)
            still, end_at = 0, @stock.effort.spent + BETTERING
            pairs.cycle do |pair|
              break if still >= pairs.size || found.cost <= least || @stock.effort.over? || @stock.effort.spent > end_at

              better = afresh(mixture, found, pair)
              still = better ? 0 : still + 1
              found = better || found
            end
            found
          end

          # Of one batch each.
          def pairs =
            @pairs ||=
              @stock.pieces.combination(2).select { |one, two| one.rows == two.rows }.map { |pair| pair.map(&:index) }

          # @return [Found, nil] with these two pieces cut at less cost
          def afresh(mixture, found, pair)
            kept = found.fillings.reject { |filling| pair.include?(filling.piece) }
            narrower = mixture.narrow(found.wanted, windows(kept, pair)).seek(found.cost)
            left =
              kept.flat_map(&:yields).each_with_object(found.wanted.needed) { |(row, count), all| all[row] -= count }
            better = narrower.fillings && Completion.new(@stock, TRIED, found.cost - 1).plan(narrower, left)
            better && Found.new(better.windows.grep(Filling), found.wanted)
          end

          def windows(kept, pair)
            @stock.windows.each_with_index.map do |window, piece|
              if pair.include?(piece)
                window
              else
                kept.find { |filling| filling.piece == piece } || Bounds.new(LEFT_ALONE, LEFT_ALONE)
              end
            end
          end
        end
      end
    end
  end
end
