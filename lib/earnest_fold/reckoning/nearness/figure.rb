# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Nearness
      # One figure of a treatment that can be moved: its path ("support.length"), whether it was :measured or :chosen,
      # and the step in which it is moved, the least that a tape in the job's unit shows (of a fullness a hundredth).
      # Lengths move in millimetres, a fullness in its ratio; the readings of a drop move together, the least is told.
      Figure = Value.define(:path, :sort, :step) do
        # @param treatment [Treatment]
        # @return [Rational] as it stands
        #
        #   Nearness.figures(treatment, Units::CM).first.at(treatment) # => (1800/1)
        def at(treatment)
          value = Figure.read(treatment, steps)
          case value
          when Array then value.min.mm
          when Length then value.mm
          else value.ratio
          end
        end

        # @param treatment [Treatment]
        # @param by [Integer] steps, up or down
        # @return [Treatment] the same with the figure moved
        #
        #   Nearness.figures(treatment, Units::CM).first.moved(treatment, 10).support.length # => 1810 mm
        def moved(treatment, by)
          made = treatment.with(**change(treatment, by))
          Figure::UP_AND_DOWN.match?(path) ? made.with_curtains_of(treatment) : made
        end

        # @param treatment [Treatment]
        # @param by [Integer] steps, up or down
        # @return [Hash{Symbol => Object}] what that makes of the treatment's members
        #
        #   Nearness.figures(treatment, Units::CM).first.change(treatment, 10).keys # => [:support]
        def change(treatment, by) =
          Figure.change(treatment, steps, shifted(Figure.read(treatment, steps), step * by))

        # @param treatment [Treatment]
        # @return [Integer] how many steps it can go down within reach: most figures can't be less than nothing
        #
        #   Nearness.figures(treatment, Units::CM).first.room_below(treatment, 300) # => 300
        def room_below(treatment, reach)
          return reach if Figure::SIGNED.include?(path)

          least = Figure::NEVER_NONE.match?(path) ? 1 : 0
          [reach, ((at(treatment) / step).ceil - 1).clamp(0, reach) + 1 - least].min
        end

        # @return [Boolean]
        #
        #   Nearness.figures(treatment, Units::CM).map(&:fullness?).count(true) # => 1
        def fullness? = path.end_with?("fullness")

        # @return [Boolean] whether it is one of those of which each moves the drop as far as the others do
        #
        #   Nearness.figures(treatment, Units::CM).count(&:moves_drop?) # => 2
        def moves_drop? = Figure::DROP.include?(path)

        private

        def steps = path.split(".")

        def shifted(value, far)
          case value
          when Array then value.map { |reading| reading + Length.mm(far) }
          when Length then value + Length.mm(far)
          else Fullness.ratio(value.ratio + far)
          end
        end
      end

      # What no curtain's width hangs on: held by a law.
      Figure::UP_AND_DOWN = /\Adrop\.|\Alining\.|finished_drop\z|hem\.depth\z|squaring\z/
      Figure::DROP = %w[drop.readings drop.stand_up drop.offset].freeze
      # What may lie on either side of nothing, and what can't be nothing.
      Figure::SIGNED = %w[drop.stand_up drop.offset lining.lift lining.inset].freeze
      Figure::NEVER_NONE = /length\z|readings|cover|finished|fullness|width\z|pitch\z|spacing\z/

      # @return [Object, nil] what stands at the end of the steps; nil where something on the way isn't there
      #
      #   Nearness::Figure.read(treatment, %w[support length]) # => 1800 mm
      def Figure.read(object, steps)
        steps.reduce(object) do |inside, step|
          case inside
          when nil then nil
          when Drop then inside.asked.public_send(step)
          else inside.public_send(step) if inside.respond_to?(step)
          end
        end
      end

      # @return [Object] a copy with the value there
      #
      #   Nearness::Figure.put(treatment, %w[support length], Length.cm(190)).support.length # => 1900 mm
      def Figure.put(object, steps, value)
        object = object.asked if object.is_a?(Drop)
        object.with(**Figure.change(object, steps, value))
      end

      # @return [Hash{Symbol => Object}] which members of the object become what, with the value there
      #
      #   Nearness::Figure.change(treatment, %w[overlap], Length.cm(9)) # => {:overlap=>90 mm}
      def Figure.change(object, steps, value)
        step, *rest = steps
        inner = rest.empty? ? value : put(read(object, [step]), rest, value)
        {step.to_sym => inner, **(object.is_a?(Treatment) ? Figure.beside(object, step, inner) : {})}
      end

      # The lining may be the same cloth as the face.
      #
      #   Nearness::Figure.beside(treatment, "overlap", nil) # => {}
      def Figure.beside(treatment, step, inner)
        return {} unless step == "face"

        %i[lining interlining].filter_map do |name|
          layer = treatment.public_send(name)
          [name, layer.with(cloth: inner)] if layer && layer.cloth.id == inner.id
        end.to_h
      end
    end
  end
end
