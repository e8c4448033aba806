# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Cutting
      # Finds the order of cuts on one endless patterned piece whose last cut ends soonest, exactly.
      #
      # Seen on one repeat bent to a circle, each cut is an arc from where it starts to where it ends, and the cloth
      # between two cuts goes forward round the circle. An order of all cuts is a path that takes every arc once. For
      # a given last end, how often the cloth between is walked on each stretch of the circle is settled up to one
      # whole lap for all stretches; so the least laps that leave no stretch below zero give the least cloth, and
      # where the arcs don't hang together yet, one lap more joins them all. The path itself is then an Eulerian one.
      # @api private
      class RepeatCircle
        # One way to end: at which point, how many laps more, and how far round in all.
        Ending = Struct.new(:point, :laps, :waste)

        # All numbers are Integers on one scale.
        # @param circumference [Integer] the repeat
        # @param origin [Integer] where on the circle cutting begins
        # @param arcs [Array<Array(Integer, Integer)>] start and end of each cut on the circle
        def initialize(circumference, origin, arcs)
          @circumference = circumference
          @origin = origin
          @arcs = arcs
          @points = [origin, *arcs.flatten].uniq.sort
          @index = @points.each_with_index.to_h
          @base = base_flows
        end

        # @return [Array<Integer>] the arcs' places in the list, in cutting order
        def order
          ending = best_ending
          walk(flows(ending))
        end

        private

        # How often each stretch is walked, before an ending and whole laps are chosen.
        def base_flows
          change = Array.new(@points.size, 0)
          @arcs.each do |from, to|
            change[@index[from]] -= 1
            change[@index[to]] += 1
          end
          change[@index[@origin]] += 1
          change.each_with_object([]) { |step, flows| flows << (flows.last || 0) + step }
        end

        def stretches
          @stretches ||= @points.each_with_index.map do |point, index|
            (@points[index + 1] || @points.first + @circumference) - point
          end
        end

        # Endings by the cloth they leave between the cuts, the least first; the first that hangs together is the best.
        def best_ending
          waiting = endings.sort_by(&:waste)
          loop do
            ending = waiting.shift
            return ending if joined?(flows(ending))

            again = Ending.new(ending.point, ending.laps + 1, ending.waste + @circumference)
            waiting.insert(waiting.bsearch_index { |other| other.waste > again.waste } || waiting.size, again)
          end
        end

        def endings
          least_before = running_least(@base)
          least_after = running_least(@base.reverse).reverse
          walked = @base.zip(stretches).sum { |flow, stretch| flow * stretch }
          tails = stretches.reverse.each_with_object([]) { |stretch, sums| sums << (sums.last || 0) + stretch }.reverse
          @arcs.map { |_, to| @index[to] }.uniq.map do |point|
            laps = -[least_after[point] - 1, point.positive? ? least_before[point - 1] : least_after[point]].min
            Ending.new(point, laps, walked - tails[point] + laps * @circumference)
          end
        end

        def running_least(flows) = flows.each_with_object([]) { |flow, least| least << [least.last, flow].compact.min }

        def flows(ending) =
          @base.each_with_index.map { |flow, index| flow + ending.laps - ((index >= ending.point) ? 1 : 0) }

        # Whether every point can be reached from every other, by arcs and walked stretches, whichever way they run.
        def joined?(flows)
          leader = (0...@points.size).to_a
          find = lambda { |point|
            point = leader[point] = leader[leader[point]] until leader[point] == point
            point
          }
          @arcs.each { |from, to| leader[find.call(@index[from])] = find.call(@index[to]) }
          flows.each_with_index do |flow, index|
            leader[find.call(index)] = find.call((index + 1) % @points.size) if flow.positive?
          end
          root = find.call(0)
          (0...@points.size).all? { |point| find.call(point) == root }
        end

        # Hierholzer's path: go on while there is a way out, and write the way down going back.
        def walk(flows)
          waiting = arcs_by_start
          path, trail = [[@index[@origin], nil]], []
          until path.empty?
            point, = path.last
            if (arc = waiting[point].shift)
              path << [@index[@arcs[arc].last], arc]
            elsif flows[point].positive?
              flows[point] -= 1
              path << [(point + 1) % @points.size, nil]
            else
              trail << path.pop.last
            end
          end
          trail.reverse.compact
        end

        def arcs_by_start
          lists = Array.new(@points.size) { [] }
          @arcs.each_with_index { |(from, _), index| lists[@index[from]] << index }
          lists
        end
      end
    end
  end
end
