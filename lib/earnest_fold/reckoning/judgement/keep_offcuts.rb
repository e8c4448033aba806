# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # An offcut that is long enough still makes something.
      module KeepOffcuts
        CODE = "keep_offcuts"
        STATION = %w[cutting making].freeze
        MANNER = :say
        ON = Judgement.on(:cut, at: :side, layer: :face)

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        #
        #   Judgement::KeepOffcuts.call(seen) # => nil
        def self.call(seen)
          kept(seen.cutting.leftover, seen.house) if seen.cutting&.leftover
        end

        # @return [Hash, nil]
        #
        #   Judgement::KeepOffcuts.touched(seen, nil) # => nil
        def self.touched(seen, _touch) = trimmed_off(seen)&.then { |leftover| kept(leftover, seen.house) }

        # What is trimmed off at the return edge, where the house keeps so narrow a strip.
        #
        #   Judgement::KeepOffcuts.trimmed_off(seen) # => nil
        def self.trimmed_off(seen)
          return unless seen.is_a?(JudgementCase) && !seen.treatment.sideways?

          curtain = seen.curtains.first
          across = seen.treatment.width_rule.flat(curtain.widths) - curtain.flat_width
          if across >= seen.house.offcut_least
            Cutting::Leftover.new(
              kind: :between,
              piece: "",
              from: Length::ZERO,
              along: [seen.reckoning.cut_drop, Cutting::Uses::LONG].min,
              across: across
            )
          end
        end

        def self.kept(leftover, house) =
          if leftover.along.between?(house.offcut_least, Cutting::Uses::LONG)
            {along: leftover.along, across: leftover.across}
          end
        private_class_method :kept
      end

      register(KeepOffcuts)
    end
  end
end
