# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # What may come out a little narrower than was asked, to save a width.
    module AcceptedShort
      # @param needed [Length]
      # @return [Length] the least that will do
      #
      #   treatment.making.accepted(Length.cm(200)) # => 2000 mm
      def accepted(needed) =
        accept_short_percent.zero? ? needed : needed * (1 - accept_short_percent / 100)
    end

    # How a curtain is made up. `side` is at each side, `seam` at each joined edge; `squaring` is lost or spared above
    # the top; `widths` (per curtain) overrides the count when given.
    class Making < Value.define(:hem, :side, :seam, :squaring, :width_step, :accept_short_percent, :widths, :trim)
      include AcceptedShort

      STEPS = {"whole" => 1r, "half" => 1/2r}.freeze
      TRIMS = %w[full_widths to_fullness].freeze
      FIELDS = Fields.new(
        hem: Declare.allowance,
        side: Declare.allowance,
        seam: Declare.length(Length::ZERO),
        squaring: Declare.length(Length::ZERO),
        width_step: Declare.choice(STEPS.keys, "whole", said: "steps"),
        accept_short_percent: Declare.percent(0r, least: 0, under: 100),
        widths: [FieldKinds::WidthsKind.new, nil],
        trim: Declare.choice(TRIMS, "full_widths", said: "trims")
      )

      # @return [Rational] 1 or 1/2
      #
      #   treatment.making.step # => (1/1)
      def step = STEPS.fetch(width_step)
    end

    # Where the pattern stands: `point` is the distance below the repeat line that lies on the hem's or the top's fold.
    Pattern = Value.define(:place, :point, :meet)
    Pattern::PLACES = %w[free hem top].freeze
    Pattern::MEETS = %w[same across].freeze
    Pattern::FIELDS = Fields.new(
      place: Declare.choice(Pattern::PLACES, "free", said: "places"),
      point: Declare.length(Length::ZERO, least: :any),
      meet: Declare.choice(Pattern::MEETS, "same", said: "meets")
    )
    Pattern::FREE = Pattern.new(place: "free", point: Length::ZERO, meet: "same")

    # The lining as asked for; its cut is in {LiningCut}. `seam` nil takes the making's.
    Lining = Value.define(:cloth, :lift, :inset, :side_turn, :top, :hem, :seam, :accept_short_percent, :run) do
      include AcceptedShort
    end
    RUNS = %w[up_the_drop railroad].freeze
    Lining::FIELDS = Fields.new(
      cloth: Declare.id,
      lift: Declare.length(Length::ZERO, least: :any),
      inset: Declare.length(Length::ZERO, least: :any),
      side_turn: Declare.length(Length::ZERO),
      top: Declare.length(Length::ZERO),
      hem: Declare.allowance,
      seam: Declare.length(nil),
      accept_short_percent: Declare.percent(0r, least: 0, under: 100),
      run: Declare.choice(RUNS, "up_the_drop", said: "runs")
    )

    # The interlining as asked for.
    Interlining = Value.define(:cloth)
    Interlining::FIELDS = Fields.new(cloth: Declare.id)
  end
end
