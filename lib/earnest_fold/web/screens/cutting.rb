# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # The Cutting station: the cuts of one treatment on each of its cloths, drawn and listed; also the cut ticket on paper.
      class Cutting < Desk
        STATION = "cutting"

        # @return [Array<Reckoning::ClothReckoning>] face first
        def cloths = @cloths ||= reckoning ? reckoning.treatment.cloths.uniq.map { |cloth| entry.reckoned.alone(cloth) } : []

        # @return [String] SVG
        def bolt(made) = sheet.colour(made.cloth).then { |colour| once(:bolt, made.cloth.id, colour) { Drawings::Bolt.new(made, unit, colour: colour).to_s } }

        # @return [String] "left, width 2"
        def cut_name(cut)
          words = Words.say("cuts.name", hand: cut.curtain.split(", ").map { |hand| Words.hand(hand) }.join(" + "), number: cut.number)
          (cut.phase == "B") ? "#{words} · B" : words
        end

        def use(made) = Words.say("uses.#{made.cloth.use}")

        def page_title = Words.say("cuts.ticket", title: entry.title)
      end
    end
  end
end
