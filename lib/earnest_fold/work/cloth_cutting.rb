# frozen_string_literal: true

module EarnestFold
  module Work
    # One cloth of a job as it is to be cut.
    class ClothCutting
      include Remembers

      R = Reckoning
      C = R::Cutting

      # A piece with its cuts as it is shown: distances from where this job begins on it (`origin`, from the piece's
      # first end). `made` are the cuts that are cut, `kept` the stored cut behind each placed one where there is a
      # plan at the table.
      ShownPiece = R::Value.define(:record, :origin, :piece, :placed, :made, :kept, :wasted) do
        # @return [Reckoning::Length] from where this job begins on it to the end of its last cut
        #
        #   cutting.shown.first.used # => 20248 mm
        def used = placed.empty? ? R::Length::ZERO : placed.last.to
      end

      # On so many pieces a plan is looked for.
      MOST_PIECES = 80

      attr_reader :sheet, :reckoned, :records, :taken, :kept_cuts, :wanted

      # @param sheet [Job]
      # @param reckoned [Reckoning::ClothReckoning] what the job needs of it
      # @param records [Array<Store::Records::Piece>] of this cloth, used up ones too
      # @param plan [Store::Records::Plan, nil] that lies at the table
      # @param cuts [Array<Store::Records::PlanCut>]
      # @param wanted [Hash] what the maker wants of the plan, as it is kept
      # @param maker [PlanMaker]
      def initialize(sheet, reckoned, records, plan:, cuts:, wanted:, maker:)
        @sheet, @reckoned, @records, @taken, @kept_cuts, @wanted = sheet, reckoned, records, plan, cuts, wanted
        @maker = maker
      end

      # @return [Cloth]
      #
      #   cutting.cloth.id # => "plain"
      def cloth = reckoned.cloth

      # @return [Integer] of the cloth
      def id = Integer(cloth.id, 10)

      # @return [Array<Reckoning::TreatmentReckoning>] every treatment of the job that is reckoned
      #
      #   cutting.reckonings.size # => 2
      def reckonings = sheet.figures.reckonings

      # @return [Array] all that it was given, as far as it is this cloth's
      def made_of = [
        sheet.figures.state, sheet.job.id, cloth.id, sheet.small_parts,
        records.map { |one| [one.id, one.cloth_id, one.version, one.used_up, one.spec, one.piece, one.reserved] },
        taken, kept_cuts, wanted
      ]

      # @return [Array<Cutting::Cut>] every cut that the job wants of the cloth
      #
      #   cutting.cuts.size # => 8
      def cuts = sheet.figures.cuts(cloth)

      # @return [Array<Store::Records::PlanCut>]
      def made = kept_cuts.select { |cut| cut.state == "cut" }

      # @return [Array<Store::Records::PlanCut>]
      def spoiled = kept_cuts.select { |cut| cut.state == "wrong" }

      # @return [Array<Cutting::Cut>] what is still to be cut
      #
      #   cutting.left.size # => 8
      def left
        @left ||= made.reduce(cuts) do |wanted, done|
          gone = wanted.index(done.cut) || wanted.index { |cut| same?(cut, done.cut) }
          gone ? wanted[0...gone] + wanted.drop(gone + 1) : wanted
        end
      end

      # @return [Array<Store::Records::Piece>] those that can be planned on
      #
      #   cutting.pieces.map(&:label) # => ["R1"]
      def pieces =
        @pieces ||= on_shelf.select do |record|
          record.piece.usable?(cloth) && record.piece.length > record.begins(sheet.job.id)
        end

      # Of many pieces those that matter: what the maker has a wish for, or a pin on, and the longest. A plan is as long
      # as it reaches into its pieces, so short ends beside many long pieces don't make it shorter.
      # @return [Array<Store::Records::Piece>] at most MOST_PIECES, and what is wished for
      #
      #   cutting.planned_on.map(&:label) # => ["R1"]
      def planned_on
        return pieces if pieces.size <= MOST_PIECES

        @planned_on ||= begin
          wished, others = pieces.partition { |record| wished_for.include?(record.label) }
          matter = (wished + others.max_by(MOST_PIECES) { |record| left_of(record).length }).to_set(&:id)
          pieces.select { |record| matter.include?(record.id) }
        end
      end

      # Where on a roll the first repeat line falls nobody knows before it is there: so much of it is kept free.
      # @return [Reckoning::Length]
      #
      #   cutting.start_unknown # => 320 mm
      def start_unknown = left.any?(&:start) ? cloth.vertical_repeat : R::Length::ZERO

      # So many seconds a plan on other pieces than the shelf's may take.
      TRIES = 0.3

      # @param pieces [Array<Reckoning::Piece>] that aren't on the shelf yet, or not alone
      # @param wanted [Array<Cutting::Cut>]
      # @return [Cutting::Plan] soon there, not the best there is
      #
      #   cutting.tried_on([rolled.pieces.first], cuts).length_used # => 11928 mm
      def tried_on(pieces, wanted) = PlanMaker.soon_enough(C::Planner.new(cloth.with(pieces: pieces), wanted), TRIES)

      # @return [Array<Store::Records::Piece>] those that differ too much from what was reckoned with
      def held_back = on_shelf.reject { |record| record.piece.usable?(cloth) }

      # @return [Reckoning::Cloth] with what there is of it
      #
      #   cutting.stock.pieces.map(&:id) # => ["R1"]
      def stock = @stock ||= cloth.with(pieces: planned_on.map { |record| left_of(record) })

      # @return [Boolean] whether there is a piece that can be planned on
      #
      #   [cutting, uncut].map(&:stock?) # => [true, false]
      def stock? = pieces.any?

      # @return [Cutting::Plan, nil] of what is still to be cut, the best there is so far ({#awaited}); nil where there
      #   is nothing to cut it from, or none so far
      #
      #   cutting.plan.length_used # => 20248 mm
      def plan = got(wishes).plan

      # @return [Cutting::Plan, nil] the same without pins and preferences
      #
      #   cutting.best.length_used # => 20248 mm
      def best = wishes.none? ? plan : got(C::Wishes.of(batches: wishes.batches)).plan

      # @return [Store::Errands::Errand, nil] the one that works on a better plan, or was to; nil where it is this one
      def awaited = got(wishes).errand

      # @return [Cutting::Wishes] as far as they still make sense
      #
      #   cutting.wishes.none? # => true
      def wishes
        labels = planned_on.map(&:label)
        @wishes ||= C::Wishes.of(
          pins: pins,
          forbidden: wanted.fetch("forbidden", []) & labels,
          preferred: wanted.fetch("preferred", []) & labels,
          batches: batches
        )
      end

      # @return [Boolean] whether the plan at the table is for other figures than those that hold now, or lies over a
      #   flaw
      #
      #   cutting.outdated? # => false
      def outdated?
        return false unless taken

        planned_now.map(&:cut).tally != left.tally || planned_now.any? { |cut| flawed?(cut) }
      end

      # @return [Array<Store::Records::PlanCut>] planned at the table, still to be made
      def planned_now = taken ? kept_cuts.reject(&:done?) : []

      # @return [Array<Store::Records::PlanCut>] made at another length than is wanted now
      def made_otherwise = made.reject { |done| cuts.include?(done.cut) }

      # @return [Array<ShownPiece>] every piece of the plan at the table, or of the one that could be taken there
      #
      #   cutting.shown.size # => 1
      def shown = @shown ||= (taken || !awaited) ? once(:shown) { laid_out } : laid_out

      # @return [Array<Store::Plans::PlannedCut>] the plan, to be taken to the table
      #
      #   cutting.lines.first.to # => 2538 mm
      def lines
        plan.pieces.flat_map do |piece|
          record = pieces.find { |one| one.label == piece.id }
          piece.placed.map do |placed|
            Store::Plans::PlannedCut.new(
              piece_id: record.id,
              datum: record.begins(sheet.job.id),
              from: placed.from,
              to: placed.to,
              cut: placed.cut
            )
          end
        end
      end

      # @return [Hash{Integer => Integer}] the versions of the pieces that are planned on
      #
      #   cutting.seen # => {1=>2}
      def seen = planned_on.to_h { |record| [record.id, record.version] }

      # @return [Array<Cutting::Leftover>] what the plan leaves over; where no width is cut from it, all that there is
      #
      #   cutting.leftovers.size # => 4
      def leftovers
        return @leftovers ||= C::Leftovers.whole(stock) if cuts.empty?
        return [] unless plan

        @leftovers ||= awaited ? left_over : once(:leftovers) { left_over }
      end

      # @return [Array<Reckoning::SmallPartOfJob>] to be cut from it
      def small_parts = sheet.parts_by_cloth.fetch(cloth.id, [])

      # @return [Cutting::SmallCuts] where they find a place
      def small_cuts = @small_cuts ||= C::SmallCuts.new(C::SmallCuts.of(small_parts), leftovers, cloth.usable_width)

      # @return [Hash{String => Rational}] widths by curtain of what a treatment has of this cloth
      #
      #   cutting.counts(reckoning) # => {"left"=>(2/1), "right"=>(2/1)}
      def counts(reckoning) = C::Demand.counts(reckoning, cloth)

      private

      def laid_out = records.filter_map { |record| taken ? at_table(record) : proposed(record) }

      def left_of(record) = record.piece.from(record.begins(sheet.job.id))

      def usable = @usable ||= pieces.to_set(&:id)

      def on_shelf = records.reject(&:used_up)

      # Labels of pieces.
      def wished_for = wanted.values_at("forbidden", "preferred").compact.flatten +
        wanted.fetch("pins", []).map { |pin| pin["piece"] }

      def left_over = C::Leftovers.of(stock, plan, slit: C::Demand.slit(reckonings, cloth))

      def same?(one, other) = [one.treatment, one.curtain, one.number] == [other.treatment, other.curtain, other.number]

      # @return [PlanMaker::Got]
      def got(wishes) = (@got ||= {})[wishes.none?] ||= stock? ? planned(wishes) : PlanMaker::NOTHING

      # What isn't settled yet isn't remembered.
      def planned(wishes)
        once(:plan, wishes.none?) do
          found = @maker.plan(stock, left, wishes)
          return found if found.errand

          found
        end
      end

      # A treatment that was begun in one batch goes on in it.
      def batches
        made
          .to_h { |done| [done.cut.treatment, records.find { |record| record.id == done.piece_id }.piece.batch] }
          .merge(
            pins.to_h { |pin| [pin.cut.treatment, pieces.find { |record| record.label == pin.piece }.piece.batch] }
          )
      end

      # A pin is kept by its distance from the piece's first end.
      def pins
        @pins ||= wanted.fetch("pins", []).filter_map do |kept|
          record = pieces.find { |one| one.label == kept["piece"] }
          cut = left.find do |one|
            [one.treatment, one.curtain, one.number] == kept.values_at("treatment", "curtain", "number")
          end
          pin =
            record && cut &&
            C::Pin.new(
              piece: record.label,
              cut: cut,
              from: Store::Records.length(kept["from"]) - record.begins(sheet.job.id)
            )
          pin if pin && !pin.from.negative? && record.begins(sheet.job.id) + pin.to <= record.piece.length
        end
      end

      def flawed?(cut)
        record = records.find { |one| one.id == cut.piece_id }
        cut.ends > record.piece.length ||
          record.piece.flaws.any? { |flaw| flaw.from < cut.ends && flaw.to > cut.begins }
      end

      def at_table(record)
        here = kept_cuts.select { |cut| cut.piece_id == record.id }
        return if here.empty?

        shown_with(record, here.map(&:datum).min, here.reject { |cut| cut.state == "wrong" }, [])
      end

      def proposed(record)
        planned = plan&.pieces&.find { |piece| piece.id == record.label }&.placed || []
        here = made.select { |cut| cut.piece_id == record.id }
        return if planned.empty? && here.empty? && !usable.include?(record.id)

        shown_with(record, [record.begins(sheet.job.id), *here.map(&:datum)].min, here, planned)
      end

      def shown_with(record, origin, kept, planned)
        stored = kept.to_h do |cut|
          [C::Placed.new(cut: cut.cut, from: cut.begins - origin, to: cut.ends - origin), cut]
        end
        ahead = record.begins(sheet.job.id) - origin
        placed = stored.keys + planned.map { |one| one.with(from: one.from + ahead, to: one.to + ahead) }
        ShownPiece.new(
          record: record,
          origin: origin,
          piece: record.piece.from(origin),
          placed: placed.sort_by(&:from),
          made: stored.select { |_, cut| cut.done? }.keys,
          kept: stored,
          wasted: spoiled.select { |cut| cut.piece_id == record.id }
        )
      end
    end
  end
end
