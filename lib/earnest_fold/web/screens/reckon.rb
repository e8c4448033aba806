# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # Reckon: a treatment before there is any job. What is asked stands in a sentence, the answer beside it, drawn and
      # in figures, with how near it is to another.
      class Reckon < Desk
        include AtReckon
        include ReckonSentence
        include Nearby

        STATION = "cloth"
        # A longer bolt stands in rows.
        ONE_ROW = R::Length.mm(21_000)
        # Where the width is typed.
        LENGTHS = %w[support.length opening.cover].freeze
        private_constant :ONE_ROW, :LENGTHS

        def view = :_reckon_made

        # @return [Array<Array(Symbol, String, String)>] what to order and to cut: its name, words, figure
        def answer = counted.map { |name, value| [name, Words.say("reckon.figures.#{name}"), value] }

        # @return [String] what to order of the face
        def to_order = Words.to_order(alone(reckoning.treatment.face))

        # @return [String] SVG: as it hangs
        def hung = Drawings::HungCurtains.new(reckoning, unit, colour: colour).to_s

        # @return [String] SVG: one curtain flat
        def flat
          shown = Drawings::FlatFigures.of(reckoning, reckoning.curtains.first)
          Drawn.svg(Drawings::FlatCurtain, shown, unit, colour)
        end

        # @return [String] SVG: on the bolt
        def bolt
          made = alone(reckoning.treatment.face)
          entry.reckoned.cloth_alone(made.cloth).once(:bolt, unit, colour) do
            Drawings::Bolt.endless(made, unit, colour: colour, zoom: (made.length_to_order > ONE_ROW) ? 1 : 0).to_s
          end
        end

        # @return [String] SVG: where the figures that are wanted are measured
        def wanted_drawing
          known = {length: LENGTHS, drop: ["drop.readings.left"], cloth: ["cloth.width"]}
            .transform_values { |paths| paths.filter_map { |path| shown_if_read(path) }.first }
          Drawings::WantedFigures.new(known, colour: Store::Unkept::COLOUR).to_s
        end

        def made_full = Words.say("reckon.made_full", fullness: reckoning.curtains.map(&:fullness).min)

        # @return [String] where it is told how near this is
        def near_address = Paths.reckon_near(query)

        def shown_fields = sentence.flat_map { |_, slots| slots.values } + more

        private

        def alone(cloth) = entry.reckoned.cloth_alone(cloth).then { |made| made.once(:reckoned) { made.reckoned } }

        def shown_if_read(path)
          shown = field(path)
          shown.text unless shown.problem || shown.text.to_s.empty?
        end

        def counted
          face = alone(reckoning.treatment.face)
          {
            widths: reckoning.treatment.sideways? ? nil : Words.number(reckoning.widths_total, 0),
            cut: Words.length(reckoning.cut_drop, unit),
            repeats: face.cloth.repeats? ? Words.length(reckoning.cut_length, unit) : nil,
            cost: face.cost && Words.money(face.cost),
            **inner_figures
          }.compact
        end

        def inner_figures =
          {lining: reckoning.lining, interlining: reckoning.interlining}.compact.transform_values do |cut|
            Words.to_order(alone(cut.cloth))
          end
      end
    end
  end
end
