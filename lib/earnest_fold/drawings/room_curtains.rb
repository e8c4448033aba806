# frozen_string_literal: true

module EarnestFold
  module Drawings
    # All the curtains of a room side by side, flat and to one scale, their hems on one line: whether the pattern is
    # level across the pair and across the windows shows at once.
    class RoomCurtains
      R = Reckoning
      WIDTH, HIGHEST, GAP = 760, 300, 12
      MARGIN = {side: 16, top: 34, bottom: 30}.freeze

      # @param treatments [Array<Array(String, Reckoning::TreatmentReckoning, String)>] title, reckoning and colour,
      #   from left to right
      # @param unit [Reckoning::Unit]
      def initialize(treatments, unit)
        @treatments, @unit = treatments, unit
        gaps = GAP * (curtains.size + treatments.size)
        @scale = Scale.fitting(
          [WIDTH - 2 * MARGIN[:side] - gaps, HIGHEST],
          [curtains.map { |_, curtain, _| curtain.flat_width }.reduce(:+), deepest]
        )
        @svg = Svg.new(WIDTH, hem + MARGIN[:bottom], says: says, css: "drawing room")
      end

      # @return [String]
      #
      #   size(Drawings::RoomCurtains.new([["office", reckoning, "#c8b79a"]], Units::CM)) # => "760 344"
      def to_s
        left = MARGIN[:side]
        @treatments.each_with_index do |(title, made, colour), index|
          left = treatment(title, made, colour, index, left) + GAP
        end
        level_line
        @svg.to_s
      end

      private

      def says = Words.say("drawings.room", count: curtains.size, windows: @treatments.size)

      def curtains = @treatments.flat_map { |_, made, colour| made.curtains.map { |curtain| [made, curtain, colour] } }

      def deepest = @treatments.map { |_, made, _| made.finished_drop }.max

      def hem = MARGIN[:top] + @scale[deepest]

      # @return [Float] where the next may start
      def treatment(title, made, colour, index, left)
        start = left
        made.curtains.each do |curtain|
          place = CurtainFace::Place.new(
            svg: @svg,
            left: left,
            top: hem - @scale[made.finished_drop],
            scale: @scale,
            name: "room-#{index}-#{curtain.hand.tr(" ", "-")}"
          )
          CurtainFace.new(FlatFigures.of(made, curtain), colour, place).draw
          left += @scale[curtain.flat_width] + GAP
        end
        @svg.text((start + left - GAP) / 2, hem + 20, title, class: "label", text_anchor: "middle")
        left
      end

      # The line at which the pattern is set, across the room: dotted where all windows agree on it.
      def level_line
        made =
          @treatments
            .map { |_, one, _| one }
            .find { |one| one.drop_cut.cloth.repeats? && one.treatment.pattern.place != "free" } or return
        at = (made.treatment.pattern.place == "hem") ? hem : hem - @scale[made.finished_drop]
        @svg.line(MARGIN[:side] - 8, at, WIDTH - MARGIN[:side] + 8, at, class: "level")
        @svg.text(
          WIDTH - MARGIN[:side],
          MARGIN[:top] - 16,
          Words.say("drawings.level_#{made.treatment.pattern.place}", point: made.treatment.pattern.point, unit: @unit),
          class: "edge",
          text_anchor: "end"
        )
      end
    end
  end
end
