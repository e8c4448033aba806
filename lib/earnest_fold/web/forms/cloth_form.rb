# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # What a person typed of a cloth. Its price is typed for what it is sold by, its mass as the tape's people weigh
      # cloth; both are kept metric.
      class ClothForm < FieldForm
        NAMES = %w[name use width selvedge selvedge_in_seam vertical_repeat horizontal_repeat match one_way coated frays
          creeps curls loose printed shrink_percent mass order_step price].freeze
        COLOUR = /\A#\h{6}\z/
        # Grammes a square metre in an ounce a square yard: 28.349523125 g on 0.83612736 m².
        OUNCE = Rational("28.349523125") / Rational("0.83612736")
        METRES_A_YARD = R::Cloth::YARD.mm / 1000
        # What is typed in another measure than it is kept in: the places of what is kept, and of what is shown.
        PLACES = {"mass" => [2, 1], "price" => [4, 2]}.freeze

        attr_reader :spec, :colour

        # @param stored [Hash] the spec as it is
        # @param params [Hash, nil] what was typed; nil before anything was
        # @param unit [Reckoning::Unit] the one the page was shown in
        # @param version [Integer, nil] of what is stored; nil for a new cloth
        def initialize(stored, colour, params, unit, version: nil)
          super(params, unit, seen: FieldForm.seen?(params, version))
          @stored, @colour_now = stored, colour
          @colour = (COLOUR.match?(said("colour").to_s) && anew?("colour")) ? said("colour") : colour
          @spec = params ? read : stored
        end

        def shown(name)
          return @colour_now if name == "colour"

          each = times(name, sold_now)
          number = each && R::Exact.read(kept(name))
          number ? R::LengthWriter.decimal(steps(number / each, name, 1), PLACES[name][1]) : super
        end

        def field(name) = (name == "order_step") ? SoldBy.field : R::Cloth::FIELDS.fetch(name.to_sym)

        def of = "cloth"

        # @return [Symbol] :metre or :yard
        def sold_now = @sold_now ||= SoldBy.of(@stored)

        private

        def kept(name) = @stored[name]

        def called(name) = Words.say("cloth_fields.#{name}")

        # @return [Rational, nil] how much of what is kept one of what is typed is; nil where both are the same measure
        def times(name, sold_by)
          case name
          when "mass" then @unit.inches? ? OUNCE : nil
          when "price" then (sold_by == :yard) ? 1 / METRES_A_YARD : nil
          end
        end

        def steps(number, name, place) = (number * 10**PLACES[name][place]).round(half: :up)

        def readable(name, text)
          kept = super
          each = kept && times(name, SoldBy.of("order_step" => step_typed))
          number = each && R::Exact.read(kept)
          number ? R::LengthWriter.decimal(steps(number * each, name, 0), PLACES[name][0]) : kept
        end

        # As it is sold by what stands in this form.
        def step_typed = SoldBy::STEPS.fetch(said("order_step").to_s, kept("order_step"))

        def read
          spec = NAMES.reduce(@stored) { |made, name| taken(made, name) }
          refuse("name", :missing) if spec["name"].to_s.empty?
          check_whole(spec)
          spec
        end

        # What its figures make together.
        def check_whole(spec)
          place = R::Problems.new
          values = R::Cloth::FIELDS.read({"id" => "new"}.merge(spec), @unit, place)
          R::Cloth.build(values, place) if values
          place.to_a.each { |problem| problems[problem.at.delete_prefix("/")] ||= problem }
        end
      end
    end
  end
end
