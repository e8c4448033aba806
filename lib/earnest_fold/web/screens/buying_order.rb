# frozen_string_literal: true

require "forwardable"

module EarnestFold
  module Web
    module Screens
      # One order as it stands: what was asked for, what the supplier says, what came, and what speaks against cutting
      # it.
      class BuyingOrder
        # What is said of cloth by the metre, not by the tape.
        AS_SOLD = %i[confirmed_short short nothing_came].freeze
        extend Forwardable

        # @param ordered [Work::AtSupplier::Ordered]
        # @param cutting [Work::ClothCutting]
        def initialize(ordered, cutting)
          @ordered, @cutting = ordered, cutting
        end

        def_delegators :@ordered, :order, :held, :deliveries

        # @param order [Store::Orders::Order]
        # @return [String] how it stands, in one line
        def self.stands(order)
          known = order.sent? && Work::SupplierSays::STATES.include?(order.standing)
          Words.say(known ? "buying.stands.#{order.standing}" : "buying.states.#{order.state}")
        end

        def stands = self.class.stands(order)

        def why = order.why.empty? ? "" : Words.say("letters.why.#{order.why}")

        # @return [String] what was asked for
        def asked
          batch = order.wanted["batch"].to_s
          length = Words.bought(held.asked, @cutting.cloth.sold_by)
          batch.empty? ? length : Words.say("buying.of_batch", length: length, batch: batch)
        end

        # @return [String, nil] when it is promised for
        def promised
          day = held.promised_on or return

          Words.say("buying.promised", day: Words.date(day, :dated))
        end

        # @param amiss [Work::OrderHeld::Amiss]
        # @return [String]
        def says(amiss)
          facts = amiss.facts.transform_values { |fact| shown(fact, as_sold: AS_SOLD.include?(amiss.code)) }
          Words.say("buying.amiss.#{amiss.code}", **facts)
        end

        # @param name [String] the supplier's
        # @return [Hash, nil] the piece of that name, as it was read
        def piece(name) = deliveries.flat_map { |_, told| told[:pieces] }.find { |one| one[:piece] == name }

        # @return [Boolean] whether anything differs, so that what it was ordered for is to be looked at
        def touches? = held.of_order.any? || deliveries.any? { |_, told| told[:pieces].any? { |one| amiss?(one) } }

        def amiss?(piece) = held.of_piece(piece).any?

        # @return [String] all that is amiss with a piece
        def about(piece) = held.of_piece(piece).map { |one| says(one) }.join(" ")

        # @return [Store::Credits::Credit, nil]
        def credit(piece) = @ordered.credits.find { |one| one.piece == piece }

        # @param credit [Store::Credits::Credit]
        def credit_stands(credit)
          return Words.say("buying.credits.agreed", amount: credit.amount) if credit.amount

          Words.say("buying.credits.#{credit.state}")
        end

        def length(length) = Words.with_unit(length, unit)

        private

        def unit = @cutting.sheet.unit

        def shown(fact, as_sold:)
          case fact
          when Reckoning::Length then as_sold ? Words.bought(fact, @cutting.cloth.sold_by) : length(fact)
          when Rational then Words.money(fact)
          else fact
          end
        end
      end
    end
  end
end
