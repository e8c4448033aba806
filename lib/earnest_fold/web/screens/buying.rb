# frozen_string_literal: true

require "forwardable"

module EarnestFold
  module Web
    module Screens
      # What is bought of one cloth for a job: what the supplier has, what is ordered, and what came of it.
      class Buying
        R = Reckoning
        extend Forwardable

        # So many of a catalogue's cloths can be chosen from.
        MOST_CHOICES = 300

        # @return [OutsideStands] how the supplier answers
        attr_reader :supplier
        # @return [Symbol, nil]
        attr_reader :notice

        # @param there [Work::AtSupplier]
        # @param supplier [OutsideStands]
        def initialize(there, supplier, notice: nil)
          @there, @supplier, @notice = there, supplier, notice
        end

        def_delegators :@there, :cutting, :code, :offer, :buying, :catalogue_at, :stock_at, :what_came
        def_delegators :cutting, :sheet, :cloth

        # @return [Array<BuyingOrder>] the last first
        def orders = @there.orders.map { |one| BuyingOrder.new(one, cutting) }

        def page_title = Words.say("buying.title", cloth: cloth.name)

        def job = sheet.job

        def unit = sheet.unit

        # @return [Array<Array(String, String)>] codes and names, those most like ours first, and the one it is
        def choices
          near = @there.offers.sort_by { |one| [(one[:code] == code) ? 0 : 1, alike(one), one[:name]] }
          near.first(MOST_CHOICES).map { |one| [one[:code], "#{one[:name]} · #{Words.with_unit(one[:width], unit)}"] }
        end

        # @return [Boolean] whether something was ordered that is not there yet
        def coming? = buying.coming.positive?

        def bought(length) = Words.bought(length, cloth.sold_by)

        # @return [Array<String>] the lengths of a way, alike ones counted
        def lengths(way) =
          way.lengths.tally.map { |length, count| (count > 1) ? "#{count} × #{bought(length)}" : bought(length) }

        # @return [String] what a metre of it costs, or a yard, as it is sold
        def price(way)
          by = cloth.sold_by
          each = (by == :yard) ? way.price * R::Cloth::YARD.mm / 1000 : way.price
          Words.say("cloths.price_#{by}", price: Words.money(each))
        end

        # @return [String] what a way leaves wanting
        def wants(way) = Words.say("buying.not_enough", titles: titles(way.uncut).join(", "))

        # @param works [Array<String>] ids
        # @return [Array<String>]
        def titles(works) = works.map { |id|
          next Words.say("buying.parts") if id == Work::Buying::PARTS

          sheet.works.find { |work| work.id.to_s == id }&.title || id
        }

        # @return [Array<String>] what of the supplier's cloth is not as it is reckoned with
        def differs = buying.differs.map { |name|
          ours, theirs = [cloth.public_send(name), offer[name]].map { |value| shown(value) }
          Words.say("buying.differs.#{name}", ours: ours, theirs: theirs)
        }

        def path(to = nil) = Paths.buying(job.id, cloth.id, to)

        private

        # A cloth of the same name first, then of the same width and repeat.
        def alike(one)
          return 0 if one[:name].casecmp?(cloth.name)

          (one[:width] == cloth.width && one[:vertical_repeat] == cloth.vertical_repeat) ? 1 : 2
        end

        def shown(value) = value.is_a?(R::Length) ? Words.with_unit(value, unit) : Words.say("matches.#{value}")
      end
    end
  end
end
