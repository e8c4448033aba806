# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # The shelf: every piece of cloth, by cloth.
      class Shelf
        R = Reckoning
        # A cloth with its pieces.
        Group = R::Value.define(:record, :cloth, :pieces) do
          # @return [Reckoning::Length]
          def left = pieces.sum(R::Length::ZERO) { |piece| piece.piece.left }
        end

        attr_reader :unit, :problems

        # @param records [Array<Store::Records::Piece>]
        # @param cloths [Array<Store::Records::Cloth>]
        # @param unit [Reckoning::Unit]
        # @param problems [Array<String>] of a list that could not be taken in
        def initialize(records, cloths, unit, problems: [])
          @records, @cloths, @unit, @problems = records, cloths, unit, problems
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

        # @return [String] SVG: how much of the longest piece of all it is
        def bar(piece, group) = Drawings::PieceBar.new(piece.piece, longest, group.record.colour).to_s

        # @return [String] what stands out: held back, kept for a job
        def about(piece, group)
          notes = piece.reserved.map { |kept| Words.say("shelf.kept_for", title: kept.title) }
          notes.unshift(Words.say("shelf.held_back")) unless piece.piece.usable?(group.cloth)
          notes << Words.say("shelf.offcut") if piece.parent_id
          notes << Words.say("shelf.unmeasured") unless piece.piece.measured
          notes.join(" · ")
        end

        private

        def longest = @longest ||= @records.map { |piece| piece.piece.length }.max
      end
    end
  end
end
