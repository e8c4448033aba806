# frozen_string_literal: true

module EarnestFold
  module Work
    # A cloth of a job at the supplier's: what it is there, what there is of it, how it can be bought, and what was
    # ordered and came.
    class AtSupplier
      R = Reckoning
      # An order with what came of it (each delivery with what it told), held against what was asked for.
      Ordered = R::Value.define(:order, :held, :deliveries, :credits)

      # @param cutting [ClothCutting]
      # @param room [Store::Workroom]
      # @param house [Store::House::Record]
      # @param patience [Numeric, nil] seconds, after which no more batches are tried
      def initialize(cutting, room, house, patience: nil)
        @cutting, @room, @house, @patience = cutting, room, house, patience
      end

      # @return [ClothCutting]
      attr_reader :cutting

      # The supplier's cloths, as its catalogue was read. It is long: it is read once, until another is told.
      # @param room [Store::Workroom]
      # @return [Array<Hash>]
      def self.offers(room)
        Memory.fetch(Memory.state([room.id, room.supply.catalogue_at]), [:catalogue]) do
          told = room.supply.catalogue
          (told && SupplierSays.readable(:catalogue, told.told)&.fetch(:cloths)) || []
        end
      end

      # @return [Array<Hash>] what the supplier has, as its catalogue was read
      def offers = @offers ||= AtSupplier.offers(@room)

      # @return [Time, nil] when the catalogue was told
      def catalogue_at = @room.supply.catalogue_at

      # @return [String, nil] under which code it is there
      def code
        return @code if defined?(@code)

        @code = @room.supply.code_of(cutting.id)
      end

      # @return [Hash, nil] the supplier's cloth
      def offer = code && offers.find { |one| one[:code] == code }

      # @return [Time, nil] when it was told what there is of it
      def stock_at = stock&.at

      # @return [Buying] what has to be bought, and how it can be
      def buying =
        @buying ||= Buying.new(cutting, offer: offer, stock: pieces, coming: coming, patience: @patience)

      # The way that was chosen, looked for on its batch alone.
      # @param key [String] of {Buying::Way}
      # @return [Buying::Way, nil] nil where what is to be bought, or what there is, is another by now
      def way(key)
        alike = pieces.to_a.select { |piece| piece[:batch] == key.split("|").first }
        offer && Buying.new(cutting, offer: offer, stock: alike).ways.find { |one| one.key == key }
      end

      # @param way [Buying::Way]
      # @return [Integer] the order's id, on its way
      def order(way)
        @room.orders.place(
          cutting.sheet.job.id,
          cutting.id,
          "code" => code,
          "for" => @house.name,
          "batch" => way.batch.to_s,
          "lengths" => way.lengths.map { |length| SupplierSays.written(length) },
          "price" => SupplierSays.priced(way.price),
          "works" => buying.works
        )
      end

      # Onto the shelf, once: each piece with what its delivery note says of it.
      # @param ordered [Ordered]
      # @param id [Integer] of the delivery
      # @yieldparam piece [Hash] as it was read
      # @yieldreturn [String] where it lies, in words
      # @raise [Store::Missing] where it doesn't wait
      def take_in(ordered, id)
        _, told = ordered.deliveries.find { |one, _| one.id == id } || raise(Store::Missing, "no delivery #{id}")
        pieces = told[:pieces].map { |piece| shelved(ordered.held, piece).merge("place" => yield(piece)) }
        @room.orders.take_in(ordered.order, id, pieces)
      end

      # @return [Array<Ordered>] the last first
      def orders
        @orders ||= begin
          found = @room.orders.of(cutting.sheet.job.id, cutting.id)
          came, credits = [@room.orders.deliveries(found.map(&:id)), @room.credits.of(found.map(&:id))]
          found.map { |one| ordered(one, came.fetch(one.id, []), credits.fetch(one.id, [])) }
        end
      end

      # @return [WhatCame] of all of them
      def what_came = WhatCame.new(cutting, orders.map(&:held))

      # @param id [Integer]
      # @return [Ordered]
      # @raise [Store::Missing] where it is another job's or cloth's
      def ordered_as(id) = orders.find { |one| one.order.id == id } || raise(Store::Missing, "no order #{id} of it")

      private

      def stock = @stock ||= code && @room.supply.stock(code)

      def pieces = @pieces ||= stock && SupplierSays.readable(:stock, stock.told)&.fetch(:pieces)

      def coming = orders.sum(R::Length::ZERO) { |one| one.held.expected }

      # As {Reckoning::Cutting::ShelfPiece} reads it.
      def shelved(held, piece)
        told = held.told_otherwise(piece).transform_values { |length| length.positive? ? kept(length) : nil }
        flaws = piece[:flaws].map { |flaw| flaw.transform_keys(&:to_s).transform_values { |length| kept(length) } }
        {
          "delivered" => kept(piece[:length]), "batch" => piece[:batch], "flaws" => flaws,
          "width" => told[:width], "repeat" => told[:vertical_repeat]
        }.compact
      end

      def kept(length) = Store::Records.typed(length)

      def ordered(order, came, credits)
        told = order.told && SupplierSays.readable(:order, order.told)
        deliveries = came.filter_map { |one| SupplierSays.readable(:delivery, one.told)&.then { |said| [one, said] } }
        held = OrderHeld.new(order, told, deliveries, cutting)
        Ordered.new(order: order, held: held, deliveries: deliveries, credits: credits)
      end
    end
  end
end
