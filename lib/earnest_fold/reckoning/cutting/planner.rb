# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Cutting
      # Plans the cuts of a cloth on the pieces there are: "The cutting plan" in the rules. A treatment is cut whole from one
      # batch, or not at all. Every way to share treatments out among batches is weighed, so the plan is proved; where that
      # would take too long, each treatment in turn goes where it takes least, and the plan says that it isn't proved.
      class Planner
        MOST_STATES = 6_000
        MOST_WORK = 4_000_000
        MOST_TREATMENTS = 10
        # Treatments cut from a batch, with what they take.
        Choice = Struct.new(:uncut, :used, :pieces, :remnant, :sets) do
          def rank = [uncut, used, pieces, -remnant]
        end

        # @param cloth [Cloth] with pieces
        # @param cuts [Array<Cut>]
        def initialize(cloth, cuts)
          @cloth, @cuts = cloth, cuts
          @scale = [cloth.vertical_repeat, cloth.square_off, *cloth.pieces.flat_map { |piece| [piece.length, piece.pattern_start, *piece.flaws.flat_map { |flaw| [flaw.from, flaw.to] }] },
            *cuts.flat_map { |cut| [cut.length, cut.start].compact }].map { |length| length.mm.denominator }.reduce(1, :lcm)
          @kinds = cuts.map { |cut| kind_key(cut) }.uniq
          @treatments = cuts.group_by(&:treatment)
          @batches = cloth.pieces.group_by(&:batch).values
        end

        # @return [Plan]
        def plan
          exact = small?
          choice = exact ? best_choice : one_by_one
          pieces = @batches.zip(choice.sets).flat_map { |batch, ids| laid(batch, ids) }
          plan = Plan.new(pieces: pieces.sort_by { |piece| @cloth.pieces.index { |own| own.id == piece.id } }, uncut: uncut(choice.sets.flatten), proved: exact, bound: Length::ZERO)
          plan.with(bound: exact ? plan.length_used : least_length(choice.sets.flatten))
        end

        private

        def kind_key(cut) = [cut.start, cut.length]

        def whole(length) = (length.mm * @scale).numerator

        def small?
          return @small if defined?(@small)

          states = all_counts.reduce(1) { |product, count| product * (count + 1) }
          @small = @treatments.size <= MOST_TREATMENTS && states <= MOST_STATES && fills.sum { |fill| fill.work(states) } <= MOST_WORK
        end

        # @return [Array<Integer>] how often each kind is cut in all
        def all_counts = @treatments.values.map { |cuts| counts_of(cuts) }.transpose.map(&:sum)

        def counts_of(cuts)
          tally = cuts.map { |cut| kind_key(cut) }.tally
          @kinds.map { |kind| tally.fetch(kind, 0) }
        end

        # @return [Integer] the cuts of these treatments, packed
        def packed(ids)
          @packed ||= @treatments.transform_values { |cuts| sets.pack(counts_of(cuts)) }
          ids.sum { |id| @packed.fetch(id) }
        end

        def sets = @sets ||= Multisets.new(all_counts)

        def fills = @fills ||= @batches.map { |batch| BatchFill.new(batch.map { |piece| piece_fill(piece) }, batch.map { |piece| whole(piece.length) }, sets) }

        def piece_fill(piece)
          PieceFill.new(length: whole(piece.length), pattern_start: whole(piece.pattern_start), repeat: whole(@cloth.vertical_repeat),
            square_off: whole(@cloth.square_off), flaws: piece.flaws.map { |flaw| [whole(flaw.from), whole(flaw.to)] }.sort,
            kinds: @kinds.map { |start, length| PieceFill::Kind.new(start && whole(start), whole(length)) })
        end

        # Batch by batch, the best for every set of treatments served so far.
        def best_choice
          served = fills.reduce({[] => Choice.new(@cuts.size, 0, 0, 0, [])}) { |choices, fill| with_batch(choices, fill) }
          served.values.min_by(&:rank)
        end

        def with_batch(choices, fill)
          choices.each_with_object({}) do |(served, choice), following|
            subsets(@treatments.keys - served).each do |ids|
              way = fill.ways[packed(ids)] or next
              better = added(choice, way, ids)
              key = (served + ids).sort
              following[key] = better unless following[key] && (following[key].rank <=> better.rank) <= 0
            end
          end
        end

        def added(choice, way, ids)
          Choice.new(choice.uncut - ids.sum { |id| @treatments[id].size }, choice.used + way.used, choice.pieces + way.pieces,
            [choice.remnant, way.remnant].max, choice.sets + [ids])
        end

        def subsets(ids) = (0..ids.size).flat_map { |size| ids.combination(size).to_a }

        # The largest first, each from the batch where it takes least beside what is there already.
        def one_by_one
          sets = Array.new(@batches.size) { [] }
          @treatments.keys.sort_by { |id| -@treatments[id].sum { |cut| cut.length.mm } }.each do |id|
            best = @batches.each_index.filter_map { |index| (used = greedy_used(index, sets[index] + [id])) && [used - greedy_used(index, sets[index]), index] }.min
            sets[best.last] << id if best
          end
          Choice.new(0, 0, 0, 0, sets)
        end

        def greedy_used(index, ids) = (laid = greedy(@batches[index], ids)) && laid.sum(Length::ZERO, &:used).mm

        def laid(batch, ids)
          return greedy(batch, ids) unless small?

          fill = fills[@batches.index(batch)]
          waiting = ids.flat_map { |id| @treatments[id] }.group_by { |cut| kind_key(cut) }
          batch.zip(fill.layout(packed(ids))).map do |piece, cuts|
            PiecePlan.new(id: piece.id, batch: piece.batch, length: piece.length, placed: cuts.map { |kind, from, to| Placed.new(cut: waiting[@kinds[kind]].shift, from: length(from), to: length(to)) })
          end
        end

        def length(number) = Length.new(Rational(number, @scale))

        # The longest cut first, each into the piece where it ends soonest after what is there; nil where one finds no place.
        def greedy(batch, ids)
          ends = batch.map { 0 }
          placed = batch.map { [] }
          fills = batch.map { |piece| piece_fill(piece) }
          ids.flat_map { |id| @treatments[id] }.sort_by { |cut| -cut.length.mm }.each do |cut|
            kind = PieceFill::Kind.new(cut.start && whole(cut.start), whole(cut.length))
            best = batch.each_index.filter_map { |index| (from = fills[index].start_of(ends[index], kind)) && [from + kind.length - ends[index], index, from] }.min or return nil
            ends[best[1]] = best[2] + kind.length
            placed[best[1]] << Placed.new(cut: cut, from: length(best[2]), to: length(best[2] + kind.length))
          end
          batch.zip(placed).map { |piece, cuts| PiecePlan.new(id: piece.id, batch: piece.batch, length: piece.length, placed: cuts) }
        end

        def uncut(served)
          (@treatments.keys - served).map do |id|
            cuts = @treatments[id]
            Uncut.new(treatment: id, count: cuts.size, length: cuts.map(&:length).max, to_buy: Endless.new(@cloth, cuts).length_needed)
          end
        end

        # No plan of the same treatments uses less than its cuts themselves.
        def least_length(served) = served.flat_map { |id| @treatments[id] }.sum(Length::ZERO, &:length)
      end
    end
  end
end
