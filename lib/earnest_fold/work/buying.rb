# frozen_string_literal: true

module EarnestFold
  module Work
    # What a job must have bought of one cloth, and in which ways a supplier's stock gives it: every batch by itself, as
    # cloth of two batches is never mixed at a window, and windows of one room are looked at beside each other.
    class Buying
      R = Reckoning
      C = R::Cutting
      # What stands among works for the small parts.
      PARTS = "parts"
      # So many batches are tried, and so many pieces of each.
      MOST_BATCHES, MOST_PIECES = 20, 12
      ROLLS = [2, 4, MOST_PIECES].freeze
      # One way to buy it: of a batch (nil: of whichever there is) these lengths, one a piece; `uncut` are the works
      # that find no place on them.
      Way = R::Value.define(:batch, :lengths, :price, :cost, :uncut) do
        # @return [R::Length]
        #
        #   Work::Buying.new(uncut).ways.first.length # => 20600 mm
        def length = lengths.sum(R::Length::ZERO)

        # @return [String] which one it is, for whoever chooses it: the batch, and just these lengths
        #
        #   Work::Buying.new(uncut).ways.first.key # => "|20600.000 mm"
        def key = [batch, *lengths.map { |length| SupplierSays.written(length) }].join("|")

        # @return [Boolean] whether everything is cut of it
        #
        #   Work::Buying.new(uncut).ways.first.whole? # => true
        def whole? = uncut.empty?
      end

      # A batch that nothing is proposed of: `length` of all its pieces; whether nobody looked for a way on it, as
      # others took long already.
      PassedOver = R::Value.define(:batch, :length, :untried)

      # @param cutting [ClothCutting]
      # @param offer [Hash, nil] the supplier's cloth, as its catalogue was read
      # @param stock [Array<Hash>, nil] its pieces, as they were read
      # @param coming [R::Length] what is ordered already, and not on the shelf yet
      # @param patience [Numeric, nil] seconds, after which no more batches are tried; nil: all are
      def initialize(cutting, offer: nil, stock: nil, coming: R::Length::ZERO, patience: nil)
        @cutting, @offer, @stock, @coming, @patience = cutting, offer, stock, coming, patience
      end

      # @return [R::Length]
      attr_reader :coming

      # @return [Array<C::Cut>] what the shelf doesn't give
      #
      #   Work::Buying.new(uncut).cuts.size # => 8
      def cuts = @cuts ||= @cutting.plan ? uncut : @cutting.left

      # @return [R::Length] on one endless piece, with the small parts that find no place beside
      #
      #   Work::Buying.new(uncut).length # => 20568 mm
      def length = @length ||= C::Endless.new(cloth, cuts).length_needed + small_parts

      # @return [R::Length] in the steps in which it is sold
      #
      #   Work::Buying.new(uncut).to_order # => 20600 mm
      def to_order = cloth.to_order(length)

      # @return [Boolean] whether the shelf has enough
      #
      #   Work::Buying.new(cutting).nothing? # => true
      def nothing? = !length.positive?

      # @return [Array<String>] the works that it is bought for
      #
      #   Work::Buying.new(uncut).works # => ["office", "parlour"]
      def works = cuts.map(&:treatment).uniq

      # @return [Array<Way>] the best first: those that give everything, the cheapest, the shortest
      #
      #   Work::Buying.new(uncut).ways.map(&:key) # => ["|20600.000 mm"]
      def ways
        @ways ||= [*tried.grep(Way), *(anyhow unless nothing?)].sort_by do |way|
          [way.whole? ? 0 : 1, way.uncut.size, way.batch ? 0 : 1, way.cost || 0, way.length.mm, way.batch.to_s]
        end
      end

      # @return [Array<PassedOver>] batches that nothing is proposed of
      def passed_over = tried.grep(PassedOver)

      # @return [Array<Symbol>] what of the supplier's cloth isn't as it is reckoned with
      def differs
        return [] unless @offer

        lengths = %i[width vertical_repeat].select { |name|
          (cloth.public_send(name) - @offer[name]).abs >= OrderHeld::ROUNDED
        }
        (cloth.match == @offer[:match] || !cloth.repeats?) ? lengths : [*lengths, :match]
      end

      private

      def cloth = @cutting.cloth

      def uncut =
        @cutting.plan.uncut.map(&:treatment).then { |ids| @cutting.left.select { |cut| ids.include?(cut.treatment) } }

      def small_parts = @cutting.small_cuts.to_buy(cloth)

      # What there is most of comes first.
      def tried
        return @tried ||= [] if cuts.empty? || @stock.nil?

        @tried ||= begin
          began = now
          batches = @stock.group_by { |piece| piece[:batch] }.sort_by { |batch, pieces| [-all_of(pieces).mm, batch] }
          batches.first(MOST_BATCHES).map { |batch, pieces| way(batch, pieces, began) }
        end
      end

      def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)

      def all_of(pieces) = pieces.sum(R::Length::ZERO) { |piece| piece[:length] }

      # Off one roll, where one is long enough; else from as few as do, as of each a repeat more is bought.
      def way(batch, pieces, began)
        longest = pieces.max_by(MOST_PIECES) { |piece| piece[:length] }
        return made(batch, [[to_order, longest.first[:length]].min], []) if longest.first[:length] >= length

        passed = PassedOver.new(batch: batch, length: all_of(pieces), untried: false)
        return passed if all_of(longest) < least
        return passed.with(untried: true) if @patience && now - began > @patience

        whole(batch, longest) || passed
      end

      # @return [R::Length] no way takes less
      def least = @least ||= cuts.sum(R::Length::ZERO, &:length)

      # @return [Way, nil] the first that gives everything, else the one that gives most
      def whole(batch, longest)
        counts = ROLLS.map { |count| [count, longest.size].min }.uniq
        counts.select { |count| all_of(longest.first(count)) >= least }.reduce(nil) do |best, count|
          break best if best&.whole?

          [best, way_from(batch, longest.first(count))].compact.min_by { |one| one.uncut.size }
        end
      end

      def way_from(batch, pieces)
        plan = @cutting.tried_on(pieces.filter_map { |piece| laid(piece) }, cuts)
        used = plan.pieces.reject { |piece| piece.placed.empty? }
        return if used.empty?

        lengths, beside = with_parts(used.map { |piece| ordered(piece, pieces) }, used, pieces)
        made(batch, lengths, plan.uncut.map(&:treatment) + (beside ? [] : [PARTS]))
      end

      # Small parts that find no place beside the widths come off the end of a piece that is long enough.
      def with_parts(lengths, used, pieces)
        return [lengths, true] unless small_parts.positive?

        longer = lengths.map { |length| cloth.to_order(length + small_parts) }
        fits = used.each_index.find { |index| longer[index] <= there(used[index], pieces) }
        [lengths.each_with_index.map { |length, index| (index == fits) ? longer[index] : length }, !fits.nil?]
      end

      def there(planned, pieces) = pieces.find { |piece| piece[:piece] == planned.id }[:length]

      def laid(piece)
        length = piece[:length] - unknown
        R::Piece.unseen(piece[:piece], piece[:batch], length) if length.positive?
      end

      def unknown = @cutting.start_unknown

      # Never more than there is of it.
      def ordered(planned, pieces) = [cloth.to_order(planned.used + unknown), there(planned, pieces)].min

      # Of whichever batch there is: one length, or as a roll that is woven for it.
      def anyhow = made(nil, [to_order], [])

      def made(batch, lengths, uncut)
        price = price_of(lengths.sum(R::Length::ZERO))
        cost = price && price * lengths.sum(R::Length::ZERO).mm / 1000
        Way.new(batch: batch, lengths: lengths, price: price, uncut: uncut, cost: cost)
      end

      # What a metre costs where so much is bought.
      def price_of(length)
        return unless @offer

        reached = @offer[:breaks].select { |one| one[:from] <= length }.map { |one| one[:price] }
        [@offer[:price], *reached].min
      end
    end
  end
end
