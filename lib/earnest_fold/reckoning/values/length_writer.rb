# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # Writes lengths for people: metric to the millimetre, inches as fractions in lowest terms. Rounds once, to the
    # step of the unit, a half away from zero.
    module LengthWriter
      # A written length in parts, so that a page can set the fraction smaller.
      Parts = Value.define(:sign, :whole, :fraction)

      module_function

      # @param length [Length]
      # @param unit [Unit]
      # @return [String] without the unit's name
      #
      #   LengthWriter.write(Length.inches(187/2r), Units::IN) # => "93 1/2"
      #   LengthWriter.write(Length.mm(2365), Units::CM)       # => "236.5"
      def write(length, unit)
        return metric((length.mm / unit.step).round(half: :up), unit.decimals) unless unit.inches?

        parts = parts(length, unit)
        "#{parts.sign}#{[parts.whole, parts.fraction].compact.join(" ")}"
      end

      # @return [Parts] sign "" or "−"; whole nil where a fraction stands alone; fraction as "1/2" or nil
      #
      #   LengthWriter.parts(Length.inches(567/8r), Units::IN).fraction # => "7/8"
      def parts(length, unit)
        steps = (length.mm / unit.step).round(half: :up)
        sign = steps.negative? ? "−" : ""
        return Parts.new(sign: sign, whole: decimal(steps.abs, unit.decimals), fraction: nil) unless unit.inches?

        whole, rest = steps.abs.divmod(unit.fraction)
        fraction = rest.zero? ? nil : Rational(rest, unit.fraction)
        Parts.new(sign: sign, whole: (fraction && whole.zero?) ? nil : whole.to_s, fraction: fraction&.to_s)
      end

      def metric(steps, decimals) = steps.negative? ? "−#{decimal(-steps, decimals)}" : decimal(steps, decimals)
      private_class_method :metric

      # @param steps [Integer] not under zero
      # @param places [Integer] behind the point
      # @return [String]
      #
      #   LengthWriter.decimal(2365, 1) # => "236.5"
      def decimal(steps, places)
        return steps.to_s if places.zero?

        whole, rest = steps.divmod(10**places)
        (places == 1) ? "#{whole}.#{rest}" : "#{whole}.#{rest.to_s.rjust(places, "0")}"
      end
    end
  end
end
