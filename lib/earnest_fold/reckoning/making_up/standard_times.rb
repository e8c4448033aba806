# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # The house's standard times, in minutes: for a metre (of hem, side, seam, tape, pressing, locking, unpicking,
      # cutting), for a piece (a width laid out, a pleat, an eyelet, a hook, a weight, a curtain marked, compared or
      # finished, a window hung), or once (setting up). What a step takes is so much of each.
      class StandardTimes < Value.define(
        :set_up,
        :lay_out,
        :join,
        :hem_by_hand,
        :hem_by_machine,
        :side_by_hand,
        :side_by_machine,
        :press,
        :tape,
        :lock,
        :unpick,
        :cut,
        :mark,
        :compare,
        :weight,
        :pleat,
        :eyelet,
        :hook,
        :finish,
        :hang
      )
        USUAL_MINUTES = {
          set_up: 4r,
          lay_out: 2r,
          join: 6r,
          hem_by_hand: 14r,
          hem_by_machine: 4r,
          side_by_hand: 12r,
          side_by_machine: 5r,
          press: 4r,
          tape: 6r,
          lock: 7r,
          unpick: 5r,
          cut: 3r,
          mark: 7r,
          compare: 5r,
          weight: 2r,
          pleat: 3r,
          eyelet: 3r,
          hook: 1 / 3r,
          finish: 8r,
          hang: 45r
        }.freeze
        FIELDS = Fields.new(**USUAL_MINUTES.transform_values { |minutes| Declare.number(minutes, over: 0, most: 600) })
        USUAL = new(**USUAL_MINUTES)

        # @param times [Hash{Symbol => Rational, Integer}] how much of each
        # @return [Rational] minutes
        #
        #   MakingUp::StandardTimes::USUAL.minutes(set_up: 1, press: 2)  # => (12/1)
        def minutes(times) = times.sum(0r) { |name, amount| public_send(name) * amount }
      end
    end
  end
end
