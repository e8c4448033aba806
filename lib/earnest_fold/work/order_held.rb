# frozen_string_literal: true

module EarnestFold
  module Work
    # An order held against what the supplier says of it and what came: every difference before anybody cuts.
    class OrderHeld
      R = Reckoning
      C = R::Cutting
      # `code` with its facts; `piece` the supplier's name for one (nil: it is of the whole order); `stops` where
      # nothing may be cut of it before it is settled.
      Amiss = R::Value.define(:code, :piece, :facts, :stops)

      # Nearer than this a told figure is the same, rounded: 54 inches are sold as 137 cm.
      ROUNDED = R::Length.mm(3)

      # @param order [Store::Orders::Order]
      # @param told [Hash, nil] how it stands, as it was read
      # @param deliveries [Array<Array(Store::Orders::Delivery, Hash)>] with what each told, as it was read
      # @param cutting [ClothCutting]
      def initialize(order, told, deliveries, cutting)
        @order, @told, @deliveries, @cutting = order, told, deliveries, cutting
      end

      # @return [R::Length] that was asked for
      def asked = @asked ||= lengths(@order.wanted["lengths"]).sum(R::Length::ZERO)

      # @return [Date, nil] the day it is promised for
      def promised_on = confirmed && confirmed[:on]

      # @return [R::Length] that came, but what was sent back
      def came = together(kept_deliveries)

      # @return [R::Length] not on the shelf yet: what is still to come, and what waits to be taken in
      def expected = (@order.closed? ? R::Length::ZERO : [promised - came, R::Length::ZERO].max) + waits

      # @return [Array<Amiss>] of the whole order: what was promised otherwise, and what doesn't come
      def of_order = [refused, *confirmed_otherwise, nothing_more, several_batches].compact

      # @param piece [Hash] that came, as it was read
      # @return [Array<Amiss>]
      def of_piece(piece) = [other_batch(piece), *of_cloth(piece), flawed(piece)].compact

      # @param piece [Hash] that came, as it was read
      # @return [Hash{Symbol => R::Length}] its width and repeat, where they are told otherwise than reckoned with
      def told_otherwise(piece) =
        %i[width vertical_repeat].to_h { |name| [name, piece[name]] }.compact
          .reject { |name, told| (told - @cutting.cloth.public_send(name)).abs < ROUNDED }

      # @return [Array<String>] the works that it was ordered for
      def works = @order.wanted.fetch("works", [])

      # @return [Array<R::Piece>] what waits to be taken in, as far as it can be planned on
      def waiting_pieces
        @deliveries.select { |one, _| one.waiting? }.flat_map { |one, told|
          told[:pieces].select { |piece| plannable?(piece) }.map { |piece| laid(one, piece) }
        }
      end

      # @return [Boolean] whether anything of it waits to be taken in
      def waiting? = @deliveries.any? { |one, _| one.waiting? }

      private

      def waits = together(@deliveries.select { |one, _| one.waiting? })

      def together(deliveries) =
        deliveries.flat_map { |_, told| told[:pieces].map { |one| one[:length] } }.sum(R::Length::ZERO)

      def kept_deliveries = @deliveries.reject { |one, _| one.state == "sent_back" }

      def confirmed = @told && @told[:confirmed]

      def promised = confirmed&.fetch(:lengths)&.then { |some| some.empty? ? nil : some.sum(R::Length::ZERO) } || asked

      def lengths(texts) = texts.map { |text| R::LengthReader.read(text, R::Units::MM) }

      def batch = @order.wanted["batch"].to_s

      def amiss(code, piece: nil, stops: false, **facts) =
        Amiss.new(code: code, piece: piece, facts: facts, stops: stops)

      def refused = (@told && @told[:state] == "refused") ? amiss(:refused, why: @told[:why]) : nil

      def confirmed_otherwise
        return [] unless confirmed

        other = confirmed[:batch]
        [
          (amiss(:confirmed_batch, asked: batch, got: other) if [batch, other].none?(&:empty?) && batch != other),
          (amiss(:confirmed_short, asked: asked, got: promised) if promised < asked),
          dearer
        ].compact
      end

      def dearer
        asked, got = @order.wanted["price"]&.then { |text| Rational(text) }, confirmed[:price]
        amiss(:dearer, asked: asked, got: got) if asked && got && got > asked
      end

      # The supplier says that all is sent, and it is less than was asked for.
      def nothing_more
        return unless @order.standing == "delivered" && came < asked

        amiss(came.positive? ? :short : :nothing_came, asked: asked, got: came, short: asked - came)
      end

      def several_batches
        batches = kept_deliveries.flat_map { |_, told| told[:pieces].map { |one| one[:batch] } }.uniq
        amiss(:several_batches, batches: batches.sort.join(", ")) if batches.size > 1
      end

      def other_batch(piece)
        return if batch.empty? || piece[:batch] == batch

        amiss(:other_batch, piece: piece[:piece], asked: batch, got: piece[:batch])
      end

      # Held against the cloth as it is reckoned with, as every piece on the shelf is.
      def of_cloth(piece)
        told = told_otherwise(piece)
        C::Delivery.new(
          @cutting.cloth,
          delivered: piece[:length],
          measured: nil,
          width: told[:width],
          repeat: told[:vertical_repeat]
        ).differences.map do |one|
          code = (one.name == :width && !one.stops) ? :wider : one.name
          amiss(code, piece: piece[:piece], stops: one.stops, asked: one.wanted, got: one.got)
        end
      end

      def flawed(piece)
        flaws = piece[:flaws]
        amiss(:flaws, piece: piece[:piece], count: flaws.size) if flaws.any?
      end

      def plannable?(piece) = of_cloth(piece).none?(&:stops) && piece[:length] > @cutting.start_unknown

      # As far as it is planned on.
      def flaws_on(piece)
        end_of = piece[:length] - @cutting.start_unknown
        piece[:flaws].select { |flaw| flaw[:from] < end_of }
          .map { |flaw| R::Flaw.new(from: flaw[:from], to: [flaw[:to], end_of].min) }
      end

      def laid(delivery, piece) = R::Piece.unseen(
        "#{delivery.id} #{piece[:piece]}",
        piece[:batch],
        piece[:length] - @cutting.start_unknown,
        flaws: flaws_on(piece)
      )
    end
  end
end
