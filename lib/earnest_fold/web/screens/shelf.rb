# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # The shelf: every piece of cloth, by cloth.
      class Shelf
        include PiecesShown

        attr_reader :unit, :problems, :unread

        # @param records [Array<Store::Records::Piece>]
        # @param cloths [Array<Store::Records::Cloth>]
        # @param unit [Reckoning::Unit]
        # @param problems [Array<String>] of a list that could not be taken in
        # @param unread [Array<Hash>] id and label of pieces that can't be read as they are kept
        def initialize(records, cloths, unit, problems: [], unread: [])
          @records, @cloths, @unit, @problems, @unread = records, cloths, unit, problems, unread
        end

        # @return [Array<String>] what a list that is brought in may say, in its order
        def columns = Documents::ShelfCsv::COLUMNS.first(11).map { |column| Words.say("shelf_csv.#{column}") }

        def page_title = Words.say("shelf.title")

        # @return [Array<Group>] cloths that have pieces, by name
        def groups
          @groups ||= @cloths.filter_map do |record|
            pieces = @records.select { |piece| piece.cloth_id == record.id }
            cloth = Work::Reader.cloth(record, unit)
            Group.new(record: record, cloth: cloth, pieces: pieces) if pieces.any? && cloth
          end
        end

        # @return [Array<Store::Records::Piece>] as they stand there
        def pieces = groups.flat_map(&:pieces)

        # @return [Array<Array<String>>] what stands on the label of each
        def labels =
          groups.flat_map do |group|
            group.pieces.map do |piece|
              [piece.label, group.cloth.name, Words.bought(piece.piece.left, group.cloth.sold_by),
                *told(piece.piece.batch, "shelf.batch"), *told(piece.piece.place, "shelf.place")]
            end
          end

        private

        def told(text, key) = text.empty? ? [] : ["#{Words.say(key)} #{text}"]

        def longest = @longest ||= @records.map { |piece| piece.piece.length }.max
      end
    end
  end
end
