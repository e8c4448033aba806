# frozen_string_literal: true

module EarnestFold
  module Store
    # What comes off a piece and is long enough to be kept: a piece of its own, with what lies on it and what others
    # have planned on it, until it is known never to have come off. Part of the {Shelf}, inside its transactions.
    module Offcuts
      # What happens to a piece and leaves it as it was, once it is put back.
      PASSING = %w[came_off cut put_back reserved released].freeze
      private_constant :PASSING

      private

      # Offcuts of it that are as they came off: never measured, cut, or taken off the shelf.
      def loose(life)
        offcuts = life.takings.select { |taking| taking.kind == :offcut && taking.key[:offcut_id] }
        ids = offcuts.map { |taking| taking.key[:offcut_id] }
        touched = @workroom.rows(:takings).where(piece_id: ids).select_map(:piece_id) +
          @workroom.rows(:piece_events).where(piece_id: ids).exclude(kind: PASSING).select_map(:piece_id)
        loose = @workroom.rows(:pieces).where(id: ids - touched, used_up: false).order(:id).for_update.select_map(:id)
        offcuts.select { |taking| loose.include?(taking.key[:offcut_id]) }
      end

      # An offcut that never came off: what was planned on it is planned on the piece again.
      def rejoin(piece, taking)
        follow(taking.key[:offcut_id], piece.id, taking.from) { true }
        @workroom.rows(:pieces).where(id: taking.key[:offcut_id]).delete
      end

      # What is planned on a piece is planned on another from now on: it lies there, so much further along.
      # @param by [Reckoning::Length]
      # @yieldparam from [Reckoning::Length] from the piece's first end
      # @yieldparam to [Reckoning::Length]
      # @yieldreturn [Boolean] whether this cut is moved
      def follow(from_piece, to_piece, by)
        planned = @workroom.rows(:plan_cuts).where(piece_id: from_piece, state: "planned").for_update.order(:id).all
        planned.each do |row|
          datum, *ends = %i[datum from to].map { |name| Records.length(row[name]) }
          next unless yield(*ends.map { |at| datum + at })

          begins = [datum + by, Reckoning::Length::ZERO].max
          places = ends.map { |at| Records.exact(datum + at + by - begins) }
          @workroom.rows(:plan_cuts).where(id: row[:id])
            .update(piece_id: to_piece, datum: Records.exact(begins), from: places.first, to: places.last)
        end
      end

      # An offcut that is long enough to be kept is a piece of its own, beside the one it came off. What others have
      # planned on that cloth stays planned on it.
      def offcut(piece, taking)
        came_off(piece, taking).tap do |id|
          follow(piece.id, id, -taking.from) { |from, to| from >= taking.from && to <= taking.to }
        end
      end

      def came_off(piece, taking)
        spec = {
          "delivered" => Records.typed(taking.length),
          "measured" => Records.typed(taking.length),
          "batch" => piece.piece.batch,
          "pattern_start" => Records.typed(piece.piece.from(taking.from).pattern_start),
          "place" => piece.piece.place,
          "squared" => true,
          "flaws" => flaws_in(piece, taking),
          **piece.spec.slice("width", "repeat", "accepted")
        }
        add(piece.cloth_id, offcut_label(piece), spec, piece.id, "came_off")
      end

      # @return [String] "R1/2": the first that nobody uses
      def offcut_label(piece)
        pieces = @workroom.rows(:pieces)
        used = pieces.where(Sequel.like(:label, "#{pieces.escape_like(piece.label)}/%")).select_map(:label)
        (1..).lazy.map { |number| "#{piece.label}/#{number}" }.find { |label| !used.include?(label) }
      end

      # As they lie in what is taken.
      def flaws_in(piece, taking)
        inside = piece.piece.flaws.select { |flaw| flaw.to > taking.from && flaw.from < taking.to }
        inside.map do |flaw|
          {
            "from" => Records.typed([flaw.from - taking.from, Reckoning::Length::ZERO].max),
            "to" => Records.typed([flaw.to - taking.from, taking.length].min),
            "what" => flaw.what
          }
        end
      end
    end
  end
end
