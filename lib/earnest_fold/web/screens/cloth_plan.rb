# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # One cloth's plan as the Cutting station shows it.
      class ClothPlan
        R = Reckoning
        # One piece: its drawing and its cuts in order.
        Row = R::Value.define(:number, :placed, :title, :name, :key, :mine, :done)

        # Pieces that are listed at once.
        A_PAGE = Work::ClothCutting::MOST_PIECES

        # @param screen [Cutting]
        # @param cutting [Work::ClothCutting]
        def initialize(screen, cutting)
          @screen, @cutting = screen, cutting
        end

        attr_reader :cutting

        # @return [Boolean] whether small parts can be asked for: also before the cloth is there, as they are ordered
        #   with it; not while its first plan is awaited
        def parts_asked? = !plan.nil? || !cutting.stock? || !cutting.small_parts.empty?

        # @return [String] that nothing is over
        def nothing_over = Words.say(cutting.stock? ? "leftovers.none" : "leftovers.no_cloth")

        # @return [Array<String>] the kinds of small part that can be cut beside
        def kinds_of_part = Forms::PartForm::ASKED.keys

        # @param kind [String]
        # @yieldparam fields [Array<Field>] what is asked of one more of that kind
        # @yieldreturn [String] as they are shown
        # @return [String]
        def part_fields(kind)
          return yield(fields_of(@screen.refused)) if refused_part?(kind)

          # Before anything is typed they are the same at every window, and of every plan.
          Fragments.part(:part_fields, [cutting.id, kind, unit.name]) do
            yield fields_of(Forms::PartForm.new(@screen.sheet, cutting.id.to_s, kind))
          end
        end

        # @return [Boolean] whether a small part to be cut from it was refused
        def refused_part?(kind = nil)
          form = @screen.refused
          !form.nil? && form.cloth == cutting.id.to_s && (kind.nil? || form.kind_of_part == kind)
        end

        # @param part [Reckoning::SmallPartOfJob]
        # @return [Boolean] whether it comes with a treatment, so that it isn't taken away here
        def comes_with?(part) = R::Cutting::PartsWanted.own?(part.id)

        def cloth = cutting.cloth

        def unit = @screen.unit

        def use = Words.say("uses.#{cloth.use}")

        # @return [Array<Reckoning::Cutting::Cut>] of this treatment
        def mine = @mine ||= cutting.cuts.select { |cut| cut.treatment == @screen.entry.id.to_s }

        # @return [Reckoning::Length] of the longest of them
        def each = mine.map(&:length).max

        def plan = cutting.plan

        # @return [Boolean] whether it can go to the table: it cuts something, and no better one is on its way
        def worth_taking? = cuts? && !awaited&.errand&.live?

        # @return [Errand, nil] the work on a better plan: going on, stopped or failed
        def awaited = (found = cutting.awaited) && Errand.new(found, back: @screen.path)

        def uncut = plan ? plan.uncut : []

        # @return [Reckoning::Length]
        def to_buy = uncut.sum(R::Length::ZERO, &:to_buy)

        # @return [Boolean] whether it cuts anything at all
        def cuts? = plan.length_used.positive?

        # @return [String] how good the plan is, and by how much at most a better one could be better
        def proof
          gap = (plan.proof == :bound) ? Words.number((plan.length_used / plan.bound - 1) * 100, 2) : ""
          Words.say("cutting.proofs.#{plan.proof}", gap: gap)
        end

        # @return [Reckoning::Length] what the maker's wishes take beyond the best plan
        def wishes_cost = plan.length_used - cutting.best.length_used

        def wishes? = !cutting.wishes.none?

        def wishes_uncut = plan.uncut_count - cutting.best.uncut_count

        # @return [Array<Work::ClothCutting::ShownPiece>] the pieces that are cut from
        def pieces = @pieces ||= cutting.shown.reject { |shown| shown.placed.empty? }

        # @return [Array<Store::Records::Piece>] that the plan leaves alone
        def untouched = cutting.pieces.reject { |record| pieces.any? { |shown| shown.record.id == record.id } }

        # @return [String] SVG
        def drawing(shown)
          once(:piece, shown.record.id) do
            Drawings::Bolt.new(
              cloth,
              shown.piece,
              shown.placed,
              unit,
              colour: colour,
              zoom: @screen.zoom,
              marks: marks(shown.placed, shown.made)
            ).to_s
          end
        end

        # @return [String] SVG: the whole job on one endless piece
        def endless
          once(:endless) do
            Drawings::Bolt.endless(
              cutting.reckoned,
              unit,
              colour: colour,
              marks: marks(cutting.reckoned.endless.placed, [])
            ).to_s
          end
        end

        # @yieldreturn [String] markup of what is made of the plan
        def shown(*name, &block) = Fragments.of(self, *name, &block)

        # What is made of the plan, made once while nothing that it is made of changes; what is made of one so far makes
        # room for the next.
        # @yieldreturn [Object]
        def once(*name, &block) =
          cutting.awaited ? block.call : @screen.once(*name, cutting.state, @screen.zoom, @screen.touched, &block)

        # @param placed [Array<Reckoning::Cutting::Placed>]
        # @return [Array<Row>]
        def rows(placed, made = [])
          placed.each_with_index.map do |one, index|
            Row.new(
              number: index + 1,
              placed: one,
              title: @screen.title_of(one.cut.treatment),
              name: @screen.cut_name(one.cut),
              key: key(one.cut),
              mine: mine?(one.cut),
              done: made.include?(one)
            )
          end
        end

        # @return [Row, nil] the cut that was touched, on one of the pieces here
        def touched = @screen.touched && (@touched ||= rows(placed_here).find { |row| row.key == @screen.touched })

        # @return [Work::ClothCutting::ShownPiece, nil] the piece that it lies on
        def touched_on = pieces.find { |shown| shown.placed.include?(touched.placed) }

        # @return [Boolean] whether it is pinned to its place
        def pinned? = cutting.wishes.pins.any? { |pin| pin.cut == touched.placed.cut }

        # @return [String, nil] SVG: where the touched cut hangs
        def hangs
          made = @screen.sheet.entries.find { |entry| entry.id.to_s == touched.placed.cut.treatment }&.reckoning
          made && Drawings::WhereItHangs.new(made, touched.placed.cut, colour, cutting.counts(made)).to_s
        end

        # @return [Array<Store::Records::Piece>] those of the page that was asked for, first those that are planned on
        def listed
          all = cutting.planned_on + (cutting.pieces - cutting.planned_on)
          all.drop((@screen.pieces_page - 1) * A_PAGE).first(A_PAGE)
        end

        # @return [Array<Integer>] the pages that the pieces fill, where they fill several
        def pages = (cutting.pieces.size > A_PAGE) ? (1..(cutting.pieces.size / A_PAGE.to_r).ceil).to_a : []

        # @return [String] how the wish for a piece is kept: "", "first" or "leave"
        def wish(record)
          return "leave" if cutting.wanted.fetch("forbidden", []).include?(record.label)

          cutting.wanted.fetch("preferred", []).include?(record.label) ? "first" : ""
        end

        # @return [Reckoning::CutCase, nil] the treatment's first cut, for what is said before it
        def first_cut
          cut = mine.first or return
          R::CutCase.new(
            cloth: cloth,
            length: cut.length,
            measured: cutting.pieces.empty? ? nil : cutting.pieces.all? { |record| record.piece.measured },
            batches: cutting.pieces.map { |record| record.piece.batch }.uniq,
            first_on_piece: true,
            first_of_treatment: true,
            first_on_cloth: true,
            leftover: cutting.leftovers.first
          )
        end

        # @param to [String]
        # @return [String] where something about this cloth is done
        def path(to) = Paths.plan(@screen.job.id, cloth.id, to)

        def table_path = Paths.table(@screen.job.id, cloth.id)

        private

        # @param form [Forms::PartForm]
        def fields_of(form)
          place = "part-#{form.cloth}-#{form.kind_of_part}"
          form.names.map do |name|
            Field
              .of_form(form, name, label: Words.say("part_fields.#{name}"), unit: unit)
              .with(place: place)
          end
        end

        def colour = @screen.sheet.colour(cloth)

        def titles = @screen.shared? ? cutting.cuts.map(&:treatment).uniq.to_h { |id| [id, @screen.title_of(id)] } : {}

        def placed_here = (cutting.stock? || pieces.any?) ? pieces.flat_map(&:placed) : cutting.reckoned.endless.placed

        def mine?(cut) = cut.treatment == @screen.entry.id.to_s

        def key(cut) = [cloth.id, cut.treatment, cut.curtain, cut.number].join("~")

        def marks(placed, made)
          Drawings::Bolt::Marks.new(
            states: placed.to_h { |one| [one, state(one, made)] }.compact,
            links: placed.to_h { |one| [one, "#{@screen.here(cut: key(one.cut))}#touched-#{cloth.id}"] },
            titles: titles
          )
        end

        def state(placed, made)
          return :chosen if key(placed.cut) == @screen.touched
          return :done if made.include?(placed)
          return :pinned if cutting.wishes.pins.any? { |pin| pin.cut == placed.cut }

          mine?(placed.cut) ? nil : :aside
        end
      end
    end
  end
end
