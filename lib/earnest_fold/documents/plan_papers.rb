# frozen_string_literal: true

module EarnestFold
  module Documents
    # A cloth's plan on paper and as files.
    class PlanPapers
      R = Reckoning

      # @param cutting [Work::ClothCutting]
      def initialize(cutting)
        @cutting = cutting
      end

      # @return [String] SVG
      #
      #   Documents::PlanPapers.new(cutting).svg.scan("<svg").size # => 2
      def svg = Drawings::Stack.new(strips.map { |title, drawing, _| [title, drawing] }, says: title).to_s

      # @return [String] PDF
      #
      #   Documents::PlanPapers.new(cutting).pdf[0, 4] # => "%PDF"
      def pdf
        pieces = strips.map do |title, drawing, cuts|
          PlanPdf::OfPiece.new(
            title: title,
            drawing: drawing,
            cuts: cuts.each_with_index.map { |(placed, made), index| line(placed, made, index) }
          )
        end
        PlanPdf.new(title, unit, pieces, notes: notes, leftovers: leftovers).render
      end

      # @return [String] PDF
      #
      #   Documents::PlanPapers.new(cutting).tickets[0, 4] # => "%PDF"
      def tickets = TicketsPdf.new(tickets_title, every_ticket).render

      # @return [String] SVG
      #
      #   Documents::PlanPapers.new(cutting).tickets_drawn.scan("<rect").size # => 8
      def tickets_drawn = Drawings::TicketSheet.new(every_ticket.map(&:lines), says: tickets_title).to_s

      # What a job must have bought.
      # @param sheet [Work::Cutting]
      # @return [Documents::OrderList]
      def self.order(sheet) =
        OrderList.new(
          sheet.sheet.job.title,
          sheet.cloths.filter_map { |cutting| new(cutting).order_line },
          sheet.sheet.unit,
          parts: SundryRows.new(sheet.sheet.work_reckoned, sheet.sheet.tapes).to_get(sheet.sheet.on_hand)
        )

      # @return [Documents::OrderList::ToBuy, nil] nil where the shelf has enough
      def order_line
        missing = @cutting.plan ? uncut_cuts : @cutting.left
        to_buy = R::Cutting::Endless.new(cloth, missing).length_needed + small_parts
        return unless to_buy.positive?

        order = cloth.to_order(to_buy)
        OrderList::ToBuy.new(
          cloth: cloth.name,
          sold_by: cloth.sold_by,
          use: Words.say("uses.#{cloth.use}"),
          needed: @cutting.reckoned.length_needed,
          to_buy: to_buy,
          to_order: order,
          cost: cloth.cost(order),
          titles: missing.map { |cut| window(cut) }.uniq
        )
      end

      private

      def cloth = @cutting.cloth

      def unit = @cutting.sheet.unit

      def title = Words.say("plan_title", cloth: cloth.name, title: @cutting.sheet.job.title)

      def uncut_cuts =
        @cutting.plan.uncut.map(&:treatment).then { |ids| @cutting.left.select { |cut| ids.include?(cut.treatment) } }

      def small_parts = @cutting.small_cuts.to_buy(cloth)

      # Title, drawing, the cuts with whether each is made, and the piece's name: the pieces that are cut from; an
      # endless one where there are none.
      def strips
        return [] if @cutting.cuts.empty?
        return [endless] unless @cutting.stock? || @cutting.taken

        @cutting.shown.reject { |shown| shown.placed.empty? }.map do |shown|
          about = Words.say(
            "cutting.piece",
            length: Words.with_unit(shown.piece.length, unit),
            batch: shown.record.piece.batch.empty? ? "" : " · #{Words.say("shelf.batch")} #{shown.record.piece.batch}",
            place: ""
          )
          [
            "#{shown.record.label}  #{about}",
            bolt(shown.piece, shown.placed, shown.made),
            shown.placed.map { |placed| [placed, shown.made.include?(placed)] },
            shown.record.label
          ]
        end
      end

      def endless
        made = @cutting.reckoned
        [
          cloth.name,
          Drawings::Bolt.endless(made, unit, colour: colour, paper: true).to_s,
          made.endless.placed.map { |placed| [placed, false] },
          Words.say("tickets.to_order")
        ]
      end

      def bolt(piece, placed, made)
        marks = Drawings::Bolt::Marks.new(states: made.to_h { |one| [one, :done] }, links: {}, titles: {})
        Drawings::Bolt.new(cloth, piece, placed, unit, colour: colour, marks: marks, paper: true).to_s
      end

      def colour = @cutting.sheet.colour(cloth)

      def line(placed, made, index) =
        PlanPdf::Row.new(
          number: index + 1,
          name: "#{window(placed.cut)}: #{Words.cut(placed.cut)}",
          from: placed.from,
          to: placed.to,
          length: placed.cut.length,
          done: made
        )

      def window(cut) =
        @cutting.sheet.entries.find { |entry| entry.id.to_s == cut.treatment }&.title || Words.say("cuts.gone")

      def tickets_title = Words.say("tickets.title", cloth: cloth.name)

      def every_ticket
        every = strips.flat_map { |_, _, cuts, label| cuts.map { |placed, _| [placed, label] } }
        every.each_with_index.map { |(placed, label), index| ticket(placed, label, index + 1) }
      end

      def ticket(placed, label, number)
        TicketsPdf::Ticket.new(
          number: number.to_s,
          job: @cutting.sheet.job.title,
          window: window(placed.cut),
          name: Words.cut(placed.cut),
          cloth: cloth.name,
          piece: label,
          length: Words.with_unit(placed.cut.length, unit),
          from_to: "#{Words.length(placed.from, unit)} – #{Words.with_unit(placed.to, unit)}"
        )
      end

      def notes
        plan = @cutting.plan
        return [Words.say("plan_proofs.endless", used: @cutting.reckoned.endless.length_used, unit: unit)] unless plan

        [proof(plan), *uncut_words(plan)].compact
      end

      # Nothing of one that cuts nothing.
      def proof(plan)
        taken = @cutting.taken
        used, bound = taken ? [taken.used, taken.bound] : [plan.length_used, plan.bound]
        Words.say("plan_proofs.#{plan.proof}", used: used, bound: bound, unit: unit) if used.positive?
      end

      def uncut_words(plan)
        plan.uncut.map do |one|
          Words.say(
            "cutting.uncut",
            count: one.count,
            titles: @cutting.sheet.entries.find { |entry| entry.id.to_s == one.treatment }&.title,
            length: Words.with_unit(one.to_buy, unit)
          )
        end
      end

      def leftovers
        @cutting.leftovers.map do |one|
          [
            Words.say("leftovers.kinds.#{one.kind}"),
            one.piece,
            "#{Words.length(one.along, unit)} × #{Words.length(one.across, unit)}",
            Words.uses(one)
          ]
        end
      end
    end
  end
end
