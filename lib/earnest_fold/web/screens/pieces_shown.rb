# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # A cloth's pieces, each as a bar beside the others. Who includes it says how long the `longest` is.
      module PiecesShown
        # A cloth with its pieces.
        Group = Reckoning::Value.define(:record, :cloth, :pieces) do
          # @return [Reckoning::Length]
          def left = pieces.sum(Reckoning::Length::ZERO) { |piece| piece.piece.left }
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
      end
    end
  end
end
