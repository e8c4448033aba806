# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # A method: the order of work by which a whole curtain is made, chosen for each treatment. A method is one file in
    # methods/ that reads like the order it is: the codes of its steps, and where the heading has its say one of
    # :set_out, :top and :heading ({Heading#made_by}). A step that doesn't apply to a curtain is left out of its order.
    #
    # `layers` is what it is for (:unlined, :lined or :interlined), `usual` whether it is what makers do where nobody
    # says otherwise, `sewn` by what hem and sides are sewn where the method itself says so and not the house, `brings`
    # the figures that it means, by tape and field, and `only` which headings it is for.
    class MakingMethod < Value.define(:name, :layers, :usual, :sewn, :brings, :only, :order)
      # @param treatment [Treatment, #lining, #interlining, #heading]
      # @return [Boolean] whether it can make that
      #
      #   Methods.fetch("unlined_hem_first").suits?(lined) # => false
      def suits?(treatment) = Methods.layers(treatment) == layers && only.call(treatment.heading)

      # @param heading [Heading]
      # @return [Array<String>] the codes of its steps, the heading's own in their places
      #
      #   Methods.fetch("unlined_hem_first").codes(treatment.heading).first(2) # => ["lay_out_cuts", "join_widths"]
      def codes(heading)
        steps = order.respond_to?(:call) ? order.call(heading) : order
        parts = heading.made_by
        steps.flat_map { |step| step.is_a?(Symbol) ? parts.fetch(step, []) : step }
      end

      # @return [Boolean] whether face and lining are sewn together at the sides and turned
      #
      #   Methods.fetch("unlined_hem_first").bags? # => false
      def bags? = layers == :lined && order.include?("bag_lining")

      # @return [Boolean] whether the lining goes right down into the face's hem
      #
      #   treatment.order_of_work.lining_in_hem? # => false
      def lining_in_hem? = layers == :lined && order.include?("fold_hem_over")

      # @param unit [Unit]
      # @return [Hash{String => Object}] by the path of a treatment's field, as they are kept; nil takes one away
      #
      #   Methods::Kinds["unlined_hem_first"].figures(Units::CM) # => {}
      def figures(unit) = brings.fetch(unit.inches? ? "inches" : "metric", {})
    end

    # The methods by name.
    module Methods
      ANY = ->(_heading) { true }
      private_constant :ANY
      Kinds = Registry.new(:name, :layers, :order)
      # What a bag means, in whatever order it is sewn: the face wraps to the back as far as the lining is set in.
      BAG = {
        "metric" => {
          "making.side" => {"kind" => "single", "depth" => "3.5 cm", "turn_under" => "1.5 cm"},
          "lining.inset" => "3.5 cm",
          "lining.side_turn" => "1.5 cm",
          "lining.lift" => "3 cm",
          "lining.hem" => {"kind" => "single", "depth" => "5 cm", "turn_under" => "1 cm"}
        },
        "inches" => {
          "making.side" => {"kind" => "single", "depth" => "1 3/8 in", "turn_under" => "5/8 in"},
          "lining.inset" => "1 3/8 in",
          "lining.side_turn" => "5/8 in",
          "lining.lift" => "1 1/8 in",
          "lining.hem" => {"kind" => "single", "depth" => "2 in", "turn_under" => "3/8 in"}
        }
      }.freeze

      module_function

      # How a method's file declares it.
      # @param order [Array<String, Symbol>, #call] the second takes the heading
      #
      #   Methods::Kinds["unlined_hem_first"].layers # => :unlined
      def define(name, layers:, order:, usual: false, sewn: {}, brings: {}, only: ANY)
        Kinds.register(
          name,
          MakingMethod.new(
            name: name,
            layers: layers,
            usual: usual,
            sewn: sewn,
            brings: brings,
            only: only,
            order: order.freeze
          )
        )
      end

      # @raise [KeyError]
      #
      #   Methods.fetch("unlined_hem_first").layers # => :unlined
      def fetch(name) = Kinds.fetch(name)

      # @param treatment [Treatment]
      # @return [Symbol] :unlined, :lined or :interlined
      #
      #   Methods.layers(lined) # => :lined
      def layers(treatment)
        return treatment.interlining ? :interlined : :lined if treatment.lining

        :unlined
      end

      # @param treatment [Treatment]
      # @return [Array<MakingMethod>] those to choose from, the usual one first
      #
      #   Methods.suiting(treatment).first.name # => "unlined_hem_first"
      def suiting(treatment) = Kinds.select { |one| one.suits?(treatment) }.sort_by { |one| order_of(one, treatment) }

      # @param asked [String, nil] the name chosen
      # @param treatment [Treatment]
      # @return [MakingMethod] the one chosen where it suits what is made, else the usual one
      #
      #   Methods.for(nil, treatment).name # => "unlined_hem_first"
      def for(asked, treatment)
        chosen = asked && Kinds[asked]
        chosen&.suits?(treatment) ? chosen : suiting(treatment).first
      end

      def order_of(one, treatment)
        return [0, one.name] if one.name == treatment.heading.usual_method

        [one.usual ? 1 : 2, one.name]
      end
      private_class_method :order_of
    end
  end
end
