# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # At the table: one cut after the other of a cloth's plan, its figure as large as can be.
      class Table
        include SeeingTo

        R = Reckoning
        WHYS = %w[too_short wrong_place wrong_way damaged].freeze
        # A cut that went wrong, and what becomes of it: `again` the cut that is to replace it, nil where there is no
        # cloth for it; `hem` the hem that it would still give as it is, nil where none.
        Spoiled = R::Value.define(:cut, :again, :made_again, :hem)

        attr_reader :cutting, :typed, :problems

        # @param cutting [Work::ClothCutting]
        # @param asked [String, nil] the id of the cut that is looked at
        # @param notice [Symbol, nil]
        # @param typed [Hash] what was typed in a form that could not be taken
        # @param problems [Hash{String => Reckoning::Problem}]
        def initialize(cutting, asked: nil, notice: nil, typed: {}, problems: {})
          @cutting, @asked, @notice, @typed, @problems = cutting, asked, notice, typed, problems
          @log = (current && entry) ? sheet.cautions(entry) : nil
        end

        def job = cutting.sheet.job

        def sheet = cutting.sheet

        def unit = sheet.unit

        def house = sheet.house

        def cloth = cutting.cloth

        def page_title = Words.say("table.title", cloth: cloth.name)

        def notice = @notice && Words.say("notices.#{@notice}")

        # @return [Array<Store::Records::PlanCut>] in the order in which they are cut
        def cuts = cutting.kept_cuts.reject { |cut| cut.state == "wrong" }

        def done = cuts.count(&:done?)

        # @return [Store::Records::PlanCut, nil] the one looked at: as asked for, else the next
        def current = @current ||= cuts.find { |cut| cut.id.to_s == @asked.to_s } || cuts.find { |cut| !cut.done? }

        def number = cuts.index(current) + 1

        # @return [Store::Records::Piece] on which the cut lies now: the one that was planned on, or an offcut that
        #   came off it
        def record = place.first

        # @return [Reckoning::Length] where that one begins, from the first end of the piece that was planned on
        def origin = place.last

        # @return [Reckoning::Length] from the end that lies on the table
        def mark = current.ends - lies_from

        # @return [Reckoning::Length] waste that comes off before it, from that end
        def before = current.begins - lies_from

        # @return [Reckoning::Length] from where the plan began on this piece, for whoever has marked it all before
        def running = current.to

        # @return [Boolean] whether that is another figure
        def running? = running != mark

        # @return [Work::ClothCutting::ShownPiece]
        def shown = cutting.shown.find { |one| one.record.id == current.piece_id }

        # @return [String] SVG
        def drawing
          here = shown.kept.key(current)
          states = shown.placed.to_h { |placed|
            [placed, if placed == here
                       :next
                     else
                       (shown.made.include?(placed) ? :done : :aside)
                     end]
          }
          Drawings::Bolt.new(
            cloth,
            shown.piece,
            shown.placed,
            unit,
            colour: sheet.colour(cloth),
            marks: Drawings::Bolt::Marks.new(states: states, links: {}, titles: {}),
            around: here
          ).to_s
        end

        # @return [Work::Treatment, nil]
        def entry(cut = current) = sheet.entries.find { |one| one.id.to_s == cut.cut.treatment }

        def title(cut = current) = entry(cut)&.title || Words.say("cuts.gone")

        # @return [String] "left, width 2"
        def name(cut = current) = Words.cut(cut.cut)

        # @return [Array<Reckoning::Remark>] what an experienced maker would say before this cut
        def remarks
          made = entry&.reckoning or return []
          R::Judgement
            .of(made.treatment, made, answered, station: "cutting", house: sheet.house, counted: [], cutting: cut_case)
            .reject { |remark| remark.manner == :ask }
        end

        # @return [Array<Spoiled>]
        def spoiled
          cutting.spoiled.map do |cut|
            same = cuts.select do |other|
              [other.cut.treatment, other.cut.curtain, other.cut.number] ==
                [cut.cut.treatment, cut.cut.curtain, cut.cut.number]
            end
            Spoiled.new(
              cut: cut,
              again: same.find { |other| !other.done? },
              made_again: same.any?(&:done?),
              hem: hem_left(cut)
            )
          end
        end

        # @return [Array<Reckoning::Cutting::Uncut>] what there is no cloth for
        def uncut = cutting.plan ? cutting.plan.uncut : []

        # @return [Reckoning::Length] what must be bought for those
        def to_buy = uncut.sum(R::Length::ZERO, &:to_buy)

        # @return [Array<String>] how a cut can go wrong
        def whys = WHYS

        # @return [Array<Store::Records::Piece>] pieces that were cut from, with what is left of them
        def left_over =
          cutting.records.select { |one| cuts.any? { |cut| cut.piece_id == one.id } && one.piece.left.positive? }

        def seen_to_path = Paths.work(job.id, entry.id, "seen-to")

        def here = "#{path}?cut=#{current.id}"

        def path(to = nil) = Paths.table(job.id, cloth.id, to)

        # @return [String] the way back
        def station_path =
          if (first = ((cut = current || cuts.first) && entry(cut)) || sheet.entries.first)
            Paths.station(job.id, first.id, "cutting")
          else
            Paths.job(job.id)
          end

        # Where distances are measured from, itself from the piece's first end: the end that lies on the table; for a
        # cut that is made, where the plan began.
        # @return [Reckoning::Length]
        def lies_from = current.done? ? current.datum : [origin + record.piece.ended, current.datum].max

        private

        def place =
          @place ||= lying_on(
            cutting.records.find { |one| one.id == current.piece_id },
            current.begins,
            current.ends,
            R::Length::ZERO
          )

        # Who cut a later one first made an offcut of what lay before it.
        def lying_on(piece, from, to, origin)
          off = piece.piece.life.takings.find do |taking|
            taking.kind == :offcut && taking.from <= from && taking.to >= to
          end
          child = off && cutting.records.find { |one| one.id == off.key[:offcut_id] }
          child ? lying_on(child, from - off.from, to - off.from, origin + off.from) : [piece, origin]
        end

        def answered = entry.record.spec.fetch("answers", {}).keys

        def cut_case
          of_piece = cuts.select { |cut| cut.piece_id == current.piece_id }
          R::CutCase.new(
            cloth: cloth,
            length: current.cut.length,
            measured: !record.piece.measured.nil?,
            batches: cutting.pieces.map { |one| one.piece.batch }.uniq,
            first_on_piece: of_piece.first == current,
            first_of_treatment: cuts.find { |cut| cut.cut.treatment == current.cut.treatment } == current,
            first_on_cloth: cuts.first == current,
            leftover: leftover(of_piece)
          )
        end

        # What comes off before this cut, or stays after the piece's last one.
        def leftover(of_piece)
          length = (of_piece.last == current) ? origin + record.piece.length - current.ends : before
          if length.positive?
            R::Cutting::Leftover.new(
              kind: :remnant,
              piece: record.label,
              from: current.ends,
              along: length,
              across: cloth.usable_width
            )
          end
        end

        # A cut that came out short still has cloth for a shallower hem.
        def hem_left(cut)
          making = entry(cut)&.reckoning&.treatment&.making
          short = cut.cut.length - (cut.to - cut.from)
          return unless making && making.hem.kind == "double" && short.positive? && making.hem.taken > short

          (making.hem.taken - short) / 2
        end
      end
    end
  end
end
