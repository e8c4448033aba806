# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # The workroom's cloths.
      class Cloths
        attr_reader :unit, :records

        # @param records [Array<Store::Records::Cloth>]
        # @param pieces [Array<Store::Records::Piece>] all that are on the shelf
        def initialize(records, unit, pieces: [])
          @records, @unit = records, unit
          @pieces = pieces.group_by(&:cloth_id)
        end

        def page_title = Words.say("cloths.title")

        # @return [Array<Array(Store::Records::Cloth, Reckoning::Cloth)>]
        def cloths = records.map { |record| [record, Work::Reader.cloth(record, unit)] }

        # @return [String] how much of it is on the shelf
        def there(cloth)
          left = @pieces.fetch(Integer(cloth.id, 10), []).map { |record| record.piece.left }
          left.empty? ? "–" : Words.bought(left.sum(Reckoning::Length::ZERO), cloth.sold_by)
        end

        # @return [String] what the metre or the yard of it costs, as it is sold
        def price(record)
          text = Forms::ClothForm.new(record.spec, "", nil, unit).shown("price")
          return "–" if text.empty?

          Words.say("cloths.price_#{Forms::SoldBy.of(record.spec)}", price: text)
        end
      end
    end
  end
end
