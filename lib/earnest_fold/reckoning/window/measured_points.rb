# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # What the workroom's hardware measures between the points that people take lengths from. `hook_drop` is from the
    # hook's bearing point up to the top edge, `glider_drop` from the support's top down to the glider's eye,
    # `ring_drop` from the pole's underside down to the ring's eye, `eyelet_rise` from the pole's upper side up to the
    # top edge, `clear` what is kept above a floor, a sill or a worktop, `below` what hangs below a sill.
    PointRules = Value.define(:hook_drop, :glider_drop, :ring_drop, :eyelet_rise, :clear, :below)
    PointRules::FIELDS = Fields.new(
      hook_drop: Declare.length(Length::ZERO, least: :any),
      glider_drop: Declare.length(Length::ZERO),
      ring_drop: Declare.length(Length::ZERO),
      eyelet_rise: Declare.length(Length::ZERO, least: :any),
      clear: Declare.length(Length.mm(10)),
      below: Declare.length(Length.mm(150))
    )
    PointRules::USUAL = PointRules.new(
      hook_drop: Length::ZERO,
      glider_drop: Length::ZERO,
      ring_drop: Length::ZERO,
      eyelet_rise: Length::ZERO,
      clear: Length.mm(10),
      below: Length.mm(150)
    )

    # "Which length is it?": turns the points a length was measured from and to into stand-up and offset, by heading
    # and house rule. Two people who mean different points is the commonest costly mistake, so the working says which
    # were meant.
    module MeasuredPoints
      FROM = %w[curtain_top glider_eye ring_eye support_top pole_upper_side].freeze
      TO = %w[floor sill below_sill worktop].freeze
      # An amount with the sum that made it.
      Amount = Value.define(:length, :expression)
      NOTHING = Amount.new(length: Length::ZERO, expression: [])

      module_function

      # @param drop [DropAsked]
      # @param heading [Heading]
      # @param support [Support]
      # @return [Amount, nil] the stand-up; nil where the point doesn't suit the heading or a figure is wanting
      #
      #   asked = given("drop/measured_from" => "glider_eye").drop.asked
      #   MeasuredPoints.stand_up(asked, treatment.heading, treatment.support).length # => 0 mm
      def stand_up(drop, heading, support)
        return NOTHING if drop.measured_from == "curtain_top"

        lower = lower_than_bearing(drop, heading, support) or return
        rise = heading.rise(drop.points, support) or return
        Amount.new(length: rise - lower, expression: if lower.zero?
                                                       [rise]
                                                     else
                                                       [rise, lower.negative? ? "+" : "−", lower.abs].freeze
                                                     end)
      end

      # @return [Length] the offset at the foot
      #
      #   MeasuredPoints.offset(treatment.drop.asked.with(measured_to: "floor")) # => -10 mm
      def offset(drop)
        case drop.measured_to
        when nil then Length::ZERO
        when "below_sill" then drop.points.below
        else -drop.points.clear
        end
      end

      # How far the heading's bearing lies below the point measured from.
      # @return [Length, nil]
      #
      #   MeasuredPoints.lower_than_bearing(treatment.drop.asked, treatment.heading, treatment.support) # => nil
      def lower_than_bearing(drop, heading, support)
        return pole_upper_side?(drop, support) ? Length::ZERO : nil if heading.bears_on == :pole

        case drop.measured_from
        when "glider_eye", "ring_eye" then Length::ZERO
        when "support_top" then (support.kind == "pole") ? below_the_pole(drop, support) : drop.points.glider_drop
        when "pole_upper_side" then below_the_pole(drop, support)
        end
      end

      def below_the_pole(drop, support) = support.diameter && support.diameter + drop.points.ring_drop
      private_class_method :below_the_pole

      def pole_upper_side?(drop, support) =
        drop.measured_from == "pole_upper_side" ||
          (drop.measured_from == "support_top" && %w[pole rod].include?(support.kind))
      private_class_method :pole_upper_side?
    end
  end
end
