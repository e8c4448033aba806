# frozen_string_literal: true

module EarnestFold
  module Drawings
    # Somebody's own curtain as it came and as it will be, side by side and to one scale: every line at its running
    # distance from the made edge that it runs from, what comes off crossed, hems hatched, the motif where it sits
    # before and after.
    class AlteredCurtain
      R = Reckoning
      WIDTH, TALLEST, WIDEST = 900, 300, 210
      TOP, FOOT, LEFT, GAP = 46, 34, 80, 280
      APART = 17

      # @param made [Reckoning::AlterationOfJob]
      # @param unit [Reckoning::Unit]
      # @param colour [String]
      def initialize(made, unit, colour: "#e6dcc6")
        @made, @unit, @colour = made, unit, colour
        @alteration, @curtain = made.alteration, made.curtain
        @extent = [@alteration.extent(@curtain), R::Length.mm(1)].max
        @scale = Scale.fitting([WIDEST, TALLEST], [wide, tallest])
        @svg = Svg.new(
          WIDTH,
          TOP + @scale[tallest] + FOOT,
          says: Words.say("drawings.altered", kind: Words.say("alterations.#{@alteration.kind}")),
          css: "drawing altered"
        )
      end

      # @return [String]
      #
      #   size(Drawings::AlteredCurtain.new(own.reckoning, Units::CM)) # => "900 380"
      def to_s
        @svg.hatch("alter-hem", [:forward]).hatch("alter-head", [:back]).hatch("alter-waste", %i[forward back])
        before
        after
        @svg.to_s
      end

      private

      def tallest = [@extent, at_last].max

      def at_last = @alteration.length_at_last

      def wide = @alteration.across(@curtain)

      def before
        tall = @scale[@extent]
        @svg.text(LEFT, 18, Words.say("alter.before"), class: "caption")
        cloth(LEFT, tall)
        waste(LEFT)
        @svg.rect(LEFT, TOP, @scale[wide], tall, class: "outline")
        motif(LEFT, @curtain.motif)
        edge_words(LEFT, tall)
        lines(LEFT)
        down(LEFT - 14, tall, @extent)
      end

      def after
        left = LEFT + @scale[wide] + GAP
        @svg.text(left, 18, Words.say("alter.after"), class: "caption")
        tall = @scale[at_last]
        pieces.times { |index| piece(left + index * 14, tall) } if pieces > 1
        piece(left, tall) unless pieces > 1
        motif(left, @curtain.motif && @alteration.motif_after(@curtain.motif, @curtain))
        @svg.text(left, TOP + tall + 20, Words.say("alter.pieces", count: pieces), class: "edge") if pieces > 1
        down(left + @scale[wide] + (pieces - 1) * 14 + 14, tall, at_last, anchor: "start")
      end

      def pieces = @alteration.pieces_made

      def cloth(left, tall)
        @svg.rect(left, TOP, @scale[wide], tall, fill: Tint.of(@colour), class: "cloth")
        @svg.rect(left, TOP, @scale[wide], @scale[band], fill: "url(#alter-head)") if @alteration.edges[:top] == :kept
      end

      def band = [@curtain.band, @extent].min

      # Between the lines where it is cut, or beyond the one.
      def waste(left)
        cuts = @made.lines.select { |line| line.deed == :cut }
        return if cuts.empty? || @made.left_over.zero?

        cut_away(cuts).each do |from, to|
          @svg.rect(left, y(from), @scale[wide], y(to) - y(from), fill: "url(#alter-waste)", class: "waste")
        end
      end

      # @return [Array<Array(Length, Length)>] from the top; of a tuck the strip between its two cuts
      def cut_away(cuts)
        places = cuts.map { |line| from_top(line) }.sort
        return places.each_slice(2) if @alteration.tucked?
        return [places.last(2)] if places.size > 1

        [(cuts.first.from == :hem) ? [R::Length::ZERO, places.first] : [places.first, @extent]]
      end

      def from_top(line) = (line.from == :hem) ? @extent - line.at : line.at

      def y(place) = TOP + @scale[place]

      def piece(left, tall)
        cloth(left, tall)
        hem = @alteration.new_hem ? @alteration.new_hem.depth : R::Length::ZERO
        if hem.positive? && hem < at_last
          @svg.rect(left, TOP + tall - @scale[hem], @scale[wide], @scale[hem], fill: "url(#alter-hem)")
        end
        added(left, tall)
        @svg.rect(left, TOP, @scale[wide], tall, class: "outline")
      end

      # What is laid on at the foot: a band below its seam, or a facing behind.
      def added(left, tall)
        seam = @alteration.added_to_foot&.fetch(:band_seam, nil) or return
        return unless @alteration.edges[:hem] == :banded && seam < at_last

        @svg.rect(left, y(seam), @scale[wide], TOP + tall - y(seam), fill: "url(#alter-head)", class: "laid-on")
        @svg.line(left, y(seam), left + @scale[wide], y(seam), class: "stitch")
        @svg.text(left + 6, y(seam) + 14, Words.say("alter.edges.banded"), class: "edge")
      end

      def motif(left, place)
        return unless place

        x, at = left + @scale[wide] / 2, y(place)
        @svg.path(["M", x, at - 11, "l", 9, 11, "l", -9, 11, "l", -9, -11, "Z"], class: "motif")
      end

      def edge_words(left, tall)
        edges = @alteration.edges
        @svg.text(left + 6, TOP - 8, Words.say("alter.edges.#{edges[:top]}"), class: "edge")
        @svg.text(left + 6, TOP + tall + 16, Words.say("alter.edges.#{edges[:hem]}"), class: "edge")
      end

      # Each line told at the right, apart from its neighbours, a stroke leading to its place.
      def lines(left)
        right, told = left + @scale[wide], TOP - APART
        @made.lines.sort_by { |line| from_top(line) }.each do |line|
          at = y(from_top(line))
          told = [at, told + APART].max
          @svg.line(left - 6, at, right + 8, at, class: "alter-line on-#{line.deed}")
          @svg.path(["M", right + 8, at, "L", right + 24, told], class: "leader")
          @svg.text(
            right + 28,
            told + 4,
            "#{Words.length(line.at, @unit)}  #{Words.alter_line(line.name)}",
            class: "figure"
          )
        end
      end

      def down(x, tall, length, anchor: "end")
        Dimension.down(@svg, x, TOP, TOP + tall)
        @svg.text(
          (anchor == "end") ? x - 8 : x + 8,
          TOP + tall / 2,
          Words.length(length, @unit),
          class: "figure",
          text_anchor: anchor
        )
      end
    end
  end
end
