# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Cutting
      module Patterned
        # Plans many cuts of patterned cloth. {Relaxation} says what they take at least. Then it is settled step by
        # step from which batch each treatment is cut, which pieces are used and how far, always going on where the
        # least is still possible, until a plan takes no more than that (branch and bound): then no plan is better.
        # @api private
        class Search
          # How much work there may be in all, and after how much of it, each time, a plan is sought that takes a
          # little more than the bound.
          MOST_WORK = 9_000_000
          PROVING = 4_000_000
          # How many fillings are tried at one choice of how far the pieces are used; where that was too few, so many
          # times more.
          TRIED, MORE = 15, 4
          # Such a plan may go on each piece by so many halves of the repeat further than the mixture does, one after
          # the other; so many fillings are tried each time.
          HALVES = [0, 1, 2, 8].freeze
          NEARLY = 15

          # @param task [PlanTask] of patterned cloth
          # @param thumb [LongestFirst] what the rule of thumb does
          # @param work [Integer] how much there may be
          def initialize(task, thumb, work: MOST_WORK)
            @task, @thumb = task, thumb
            @effort = Effort.new(work)
            @stock = Stock.new(task, @effort)
            @turn, @bound = 0, 0
            search
          end

          # @return [Array<PiecePlan>, nil] the best plan found; nil where none was
          def pieces = @pieces ||= @found && laid

          # @return [Boolean] whether no plan is better
          def proved? = !@found.nil? && @cost <= @bound

          # @return [Integer] no plan that leaves nothing uncut uses less
          def bound = @stock.attainable.length(@bound)

          private

          # First with nothing left uncut; where that is shown to be impossible, with as little as can be.
          def search
            share_out(nil, @stock.dearest)
            share_out(@stock.dearest, @stock.most) if @found.nil? && @waiting.empty?
          end

          # @param leaving [Integer, nil] what leaving one cut uncut costs
          # @param dearest [Integer] what no plan costs
          def share_out(leaving, dearest)
            @sharing, @waiting = Sharing.new(@task, leaving), []
            @soon = Soon.new(@stock, @sharing, @thumb)
            branch(dearest) if @sharing.possible?
          end

          def branch(dearest)
            @seen, @cost = {}, dearest
            root = wait_for(Relaxation.new(@stock, @sharing.wanted, @stock.windows).seek(@cost), 0)
            while (node = most_promising)
              return if node.bound >= @cost
              return @found || soon(root) if @effort.over?

              settle(node)
              without_proof(node, root) if @effort.after?(PROVING)
            end
          end

          # The least that is still possible; of several the newest, so that one of them comes to an end.
          def most_promising
            node = @waiting.min_by { |one| [one.bound, one.tried, -one.turn] }
            @bound = [node&.bound, @cost].compact.min
            node
          end

          # @param least [Integer] what it costs at least by what is known already
          def wait_for(mixture, least, tried = TRIED)
            node = Node.new(mixture, [mixture.bound, least].max, tried, @turn += 1)
            @waiting << node if node.bound < @cost
            node
          end

          def settle(node)
            @waiting.delete(node)
            parts = node.parts
            if parts.empty?
              complete = complete?(node)
              return complete || wait_for(node.mixture, node.bound, node.tried * MORE) if node.settled?

              parts = node.beside
            end
            parts.each { |wanted, windows| wait_for(node.mixture.narrow(wanted, windows).seek(@cost), node.bound) }
          end

          # How far each piece is used is settled, if only by the mixture: fillings are chosen.
          # @return [Boolean] whether that came to a plan, or it is sure that there is none
          def complete?(node)
            wanted, point = node.wanted, node.point
            @seen.fetch([point, wanted.needed, node.tried]) do |key|
              @seen[key] = plan?(
                node,
                wanted,
                point.map { |spent| Bounds.new(spent, spent) },
                @stock.cost(point) + wanted.cost
              )
            end
          end

          # @return [Boolean] whether a plan was found that costs no more than that, or it is sure that there is none
          def plan?(node, wanted, windows, target)
            target = [target, @cost - 1].min
            mixture = node.mixture.narrow(wanted, windows).seek(target + 1)
            return !@effort.over? unless mixture.fillings

            completion = Completion.new(@stock, node.tried, target)
            found = completion.plan(mixture) or return completion.whole?
            take(Found.new(found.windows.grep(Filling), wanted))
            true
          end

          # @param found [Found, nil]
          def take(found) = (@cost, @found = found.cost, found if found && found.cost < @cost)

          def laid
            placed = @stock.pieces.map do |piece|
              @found
                .fillings
                .find { |filling| filling.piece == piece.index }
                &.then { |filling| piece.placed(filling) } || []
            end
            @task
              .batches
              .zip(@sharing.by_batch(@found.wanted))
              .flat_map { |batch, ids| @task.laid(batch, placed.shift(batch.size), ids) }
          end

          # The proof takes long: it may be too long, and then a good plan will do. With a plan less is left to look
          # at, too.
          def without_proof(node, root)
            (@found || !@soon.unused?) ? nearly([node, root]) : soon(root)
          end

          def soon(node) = take(@soon.plan(node, @bound))

          def nearly(nodes)
            nodes.product([false, true]).each do |node, last|
              pointed = pointed(node, last)
              HALVES.find { |halves| complete_further?(pointed, @task.repeat * halves / 2) } if pointed
            end
          end

          # Treatment by treatment to where the mixture cuts it, then piece by piece to where it ends.
          # @return [Node, nil]
          def pointed(node, last)
            while node.mixture.fillings
              soon(node) unless @found || node.mixture.wanted.open
              wanted, windows = node.surest(last)
              return node unless wanted

              mixture = node.mixture.narrow(wanted, windows).seek(@cost)
              node = Node.new(mixture, mixture.bound, NEARLY, 0)
            end
          end

          # @return [Boolean] whether that came to a better plan, or none would be better
          def complete_further?(node, by)
            return true if node.bound >= @cost

            windows = node.point.map { |spent| Bounds.new(spent, spent.negative? ? spent : spent + by) }
            plan?(node, node.wanted, windows, @stock.attainable.further(node.bound, by * windows.size))
          end
        end
      end
    end
  end
end
